# frozen_string_literal: true

# Which door a wreath is for, and where on its picture it hangs.
Sequel.migration do
  up do
    create_table?(:hangings) do
      Integer :workshop_id, null: false
      Integer :wreath_id, null: false
      Integer :place_id, null: false
      Integer :x
      Integer :y
      primary_key %i[workshop_id wreath_id]
      foreign_key %i[workshop_id wreath_id], :wreaths, key: %i[workshop_id id], name: :hangs_wreath, on_delete: :cascade
      foreign_key %i[workshop_id place_id], :places, key: %i[workshop_id id], name: :hangs_on, on_delete: :cascade
    end
  end

  down do
    drop_table?(:hangings)
  end
end
