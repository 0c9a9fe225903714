# frozen_string_literal: true

Sequel.migration do
  up do
    create_table?(:occasions) do
      primary_key :id
      String :name, size: 200, null: false
      String :units, size: 2, null: false
      column :document, "JSON", null: false
      Integer :version, null: false, default: 1
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :updated_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:occasion_named) { char_length(:name) > 0 }
      constraint(:occasion_units, units: %w[in cm])
      constraint(:occasion_version) { version > 0 }
    end

    run "ALTER TABLE wreaths ADD COLUMN IF NOT EXISTS occasion_id INTEGER NULL"
    run "ALTER TABLE wreaths ADD CONSTRAINT wreaths_occasion " \
      "FOREIGN KEY IF NOT EXISTS wreaths_occasion (occasion_id) REFERENCES occasions (id) ON DELETE SET NULL"
  end

  down do
    run "ALTER TABLE wreaths DROP FOREIGN KEY IF EXISTS wreaths_occasion"
    run "ALTER TABLE wreaths DROP FOREIGN KEY IF EXISTS wreaths_ibfk_2"
    run "ALTER TABLE wreaths DROP COLUMN IF EXISTS occasion_id"
    drop_table?(:occasions)
  end
end
