# frozen_string_literal: true

# What is sent in parts, until it is whole.
Sequel.migration do
  up do
    create_table?(:upload_parts) do
      Integer :workshop_id, null: false
      String :upload, size: 80, null: false
      Integer :number, null: false
      column :bytes, :mediumblob, null: false
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[workshop_id upload number]
      foreign_key %i[workshop_id], :workshops, name: :own_upload_parts, on_delete: :cascade
      index :at
    end
  end

  down do
    drop_table?(:upload_parts)
  end
end
