# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:occasions) do
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

    alter_table(:wreaths) do
      add_foreign_key :occasion_id, :occasions, on_delete: :set_null
    end
  end
end
