# frozen_string_literal: true

# Answers that are worked once for a plan as it is and kept, under a digest of all that they follow from.
Sequel.migration do
  up do
    create_table?(:kept_answers) do
      column :digest, "CHAR(64)", primary_key: true
      column :body, "LONGTEXT", null: false
      Date :used_on, null: false, index: true
    end
  end

  down { drop_table?(:kept_answers) }
end
