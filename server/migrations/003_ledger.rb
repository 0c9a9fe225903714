# frozen_string_literal: true

require "json"

# What is on hand was a list in every material's document; now it is the sum of a ledger.
Sequel.migration do
  # A length as a document of that time may write it, in nanometres: a number in the document's units, or words that
  # carry their own, feet and inches with fractions among them.
  nanometres = ::Kernel.lambda do |said, units|
    each = {"in" => 25_400_000, "cm" => 10_000_000, "ft" => 304_800_000, "yd" => 914_400_000, "mm" => 1_000_000,
            "m" => 1_000_000_000, "'" => 304_800_000, "\"" => 25_400_000}
    return (said.to_r * each.fetch(units)).round if said.is_a?(Numeric)
    found = said.to_s.downcase.tr("’″”′", "'\"\"'")
      .scan(%r{(\d+(?:\.\d+)?)?\s*(?:(\d+)/(\d+))?\s*(in|cm|ft|yd|mm|m|'|")?})
      .reject { |whole, above, _, _| whole.nil? && above.nil? }
    found.sum { |whole, above, below, unit|
      number = (whole || "0").to_r + (above ? above.to_r / below.to_i : 0)
      number * each.fetch(unit || units)
    }.round
  end

  up do
    create_table?(:actions) do
      primary_key :id
      String :kind, size: 20, null: false
      Integer :wreath_id
      String :wreath_name, size: 200
      foreign_key :undoes, :actions, unique: true
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:action_kind, kind: %w[bought cut returned corrected thrown_away undone])
    end

    create_table?(:entries) do
      primary_key :id
      foreign_key :action_id, :actions, null: false
      foreign_key :material_id, :materials, null: false, on_delete: :cascade
      String :kind, size: 20, null: false
      Bignum :length, null: false, default: 0
      Bignum :width, null: false, default: 0
      Integer :change, null: false
      constraint(:entry_sizes) { (length >= 0) & (width >= 0) }
    end
    run "CREATE INDEX IF NOT EXISTS entries_material_id_length_width_index ON entries (material_id, length, width)"

    create_table?(:ticks) do
      foreign_key :wreath_id, :wreaths, null: false, on_delete: :cascade
      String :place, size: 120, null: false
      primary_key %i[wreath_id place]
    end

    run "ALTER TABLE wreaths ADD COLUMN IF NOT EXISTS cut_action INTEGER NULL"
    run "ALTER TABLE wreaths ADD CONSTRAINT wreaths_cut FOREIGN KEY IF NOT EXISTS wreaths_cut (cut_action) " \
      "REFERENCES actions (id)"

    from(:materials).order(:id).each do |row|
      document = JSON.parse(row[:document])
      next unless document.key?("on_hand")
      lots = Array(document["on_hand"])
      counted = %w[tie glue piece coat].include?(row[:kind])
      transaction do
        from(:materials).where(id: row[:id]).update(document: JSON.generate(document.except("on_hand")))
        next if lots.empty?
        action = from(:actions).insert(kind: "corrected")
        lots.each do |lot|
          sizes = if counted then {}
          elsif lot.is_a?(Hash) then {length: lot["length"], width: lot["width"]}
            .transform_values { nanometres.call(_1, row[:units]) }
          else {length: nanometres.call(lot, row[:units])}
          end
          from(:entries).insert(action_id: action, material_id: row[:id], kind: "corrected",
            change: counted ? lot.to_i : 1, **sizes)
        end
      end
    end
  end

  down do
    run "ALTER TABLE wreaths DROP FOREIGN KEY IF EXISTS wreaths_cut"
    run "ALTER TABLE wreaths DROP FOREIGN KEY IF EXISTS wreaths_ibfk_1"
    run "ALTER TABLE wreaths DROP COLUMN IF EXISTS cut_action"
    drop_table?(:ticks, :entries, :actions)
  end
end
