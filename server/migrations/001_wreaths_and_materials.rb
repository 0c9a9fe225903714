# frozen_string_literal: true

Sequel.migration do
  up do
    create_table?(:wreaths) do
      primary_key :id
      String :name, size: 200, null: false
      column :plan, "JSON", null: false
      Integer :version, null: false, default: 1
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :updated_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:wreath_named) { char_length(:name) > 0 }
      constraint(:wreath_version) { version > 0 }
    end

    create_table?(:materials) do
      primary_key :id
      String :slug, size: 60, null: false, unique: true
      String :kind, size: 20, null: false
      String :name, size: 200, null: false
      String :units, size: 2, null: false
      column :document, "JSON", null: false
      Integer :version, null: false, default: 1
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :updated_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:material_named) { char_length(:name) > 0 }
      constraint(:material_kind, kind: %w[ribbon fabric rope mesh tie wire glue piece coat])
      constraint(:material_units, units: %w[in cm])
      constraint(:material_version) { version > 0 }
    end

    create_table?(:settings) do
      String :name, size: 60, primary_key: true
      String :value, size: 200, null: false
    end
  end

  down { drop_table?(:settings, :materials, :wreaths) }
end
