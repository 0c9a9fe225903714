# frozen_string_literal: true

Sequel.migration do
  up do
    create_table?(:forms) do
      primary_key :id
      String :name, size: 120, null: false, unique: true
      String :units, size: 2, null: false
      column :document, "JSON", null: false
      Integer :version, null: false, default: 1
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :updated_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:form_named) { char_length(:name) > 0 }
      constraint(:form_units, units: %w[in cm])
    end
  end

  down { drop_table?(:forms) }
end
