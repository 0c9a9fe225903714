# frozen_string_literal: true

# Pictures of materials, and photos that forms are measured from; and wreaths that are put away.
Sequel.migration do
  up do
    create_table?(:pictures) do
      column :id, "CHAR(64)", primary_key: true
      String :type, size: 40, null: false
      Integer :width, null: false
      Integer :height, null: false
      column :bytes, "MEDIUMBLOB", null: false
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    run "ALTER TABLE wreaths ADD COLUMN IF NOT EXISTS put_away BOOLEAN NOT NULL DEFAULT FALSE"
  end

  down do
    drop_table?(:pictures)
    run "ALTER TABLE wreaths DROP COLUMN IF EXISTS put_away"
  end
end
