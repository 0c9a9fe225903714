# frozen_string_literal: true

require_relative "../../core/lantern"

# What is on hand was a list in every material's document; now it is the sum of a ledger.
Sequel.migration do
  up do
    create_table(:actions) do
      primary_key :id
      String :kind, size: 20, null: false
      Integer :wreath_id
      String :wreath_name, size: 200
      foreign_key :undoes, :actions, unique: true
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:action_kind, kind: %w[bought cut returned corrected thrown_away undone])
    end

    create_table(:entries) do
      primary_key :id
      foreign_key :action_id, :actions, null: false
      foreign_key :material_id, :materials, null: false, on_delete: :cascade
      String :kind, size: 20, null: false
      Bignum :length, null: false, default: 0
      Bignum :width, null: false, default: 0
      Integer :change, null: false
      index %i[material_id length width]
      constraint(:entry_sizes) { (length >= 0) & (width >= 0) }
    end

    create_table(:ticks) do
      foreign_key :wreath_id, :wreaths, null: false, on_delete: :cascade
      String :place, size: 120, null: false
      primary_key %i[wreath_id place]
    end

    alter_table(:wreaths) do
      add_foreign_key :cut_action, :actions
    end

    from(:materials).each do |row|
      document = JSON.parse(row[:document])
      lots = Lantern::Plan::Material.check(document, units: row[:units]).on_hand
      from(:materials).where(id: row[:id]).update(document: JSON.generate(document.except("on_hand")))
      next if lots.empty?
      action = from(:actions).insert(kind: "corrected")
      lots.each do |lot|
        sizes = if lot.is_a?(Hash) then {length: lot[:length], width: lot[:width]}
          .transform_values { (_1 * 25_400_000).round }
        elsif lot.is_a?(Integer) then {}
        else {length: (lot * 25_400_000).round}
        end
        from(:entries).insert(action_id: action, material_id: row[:id], kind: "corrected",
          change: lot.is_a?(Integer) ? lot : 1, **sizes)
      end
    end
  end

  down do
    alter_table(:wreaths) { drop_foreign_key :cut_action }
    drop_table(:ticks, :entries, :actions)
  end
end
