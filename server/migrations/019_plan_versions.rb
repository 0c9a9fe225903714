# frozen_string_literal: true

# What a plan was before it was changed: its history, on whichever device it was changed.
Sequel.migration do
  up do
    create_table?(:plan_versions) do
      Integer :workshop_id, null: false
      Integer :wreath_id, null: false
      Integer :version, null: false
      column :plan, :mediumtext, null: false
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[workshop_id wreath_id version]
      foreign_key %i[workshop_id wreath_id], :wreaths, key: %i[workshop_id id], name: :versions_of_wreath,
        on_delete: :cascade
    end
  end

  down do
    drop_table?(:plan_versions)
  end
end
