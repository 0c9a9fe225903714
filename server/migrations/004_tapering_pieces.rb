# frozen_string_literal: true

# A piece of cloth may be narrower at its far end.
Sequel.migration do
  change do
    alter_table(:entries) { add_column :end_width, :Bignum, null: false, default: 0 }
  end
end
