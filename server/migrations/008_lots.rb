# frozen_string_literal: true

# What is on hand of every lot, kept beside the entries that it is the sum of, so that the database itself refuses
# what would leave less than nothing.
Sequel.migration do
  up do
    create_table?(:lots) do
      primary_key :id
      foreign_key :material_id, :materials, null: false, on_delete: :cascade
      Bignum :length, null: false, default: 0
      Bignum :width, null: false, default: 0
      Bignum :end_width, null: false, default: 0
      Integer :count, null: false, default: 0
      unique %i[material_id length width end_width]
      constraint(:lot_count) { count >= 0 }
    end

    sides = %i[material_id length width end_width]
    transaction do
      # An earlier version could take a lot twice: what is missing is put down as a correction.
      missing = from(:entries).group(*sides).having { sum(:change) < 0 }
        .select(*sides, Sequel.function(:sum, :change).as(:change)).all
      missing.each do |lot|
        action = from(:actions).insert(kind: "corrected")
        from(:entries).insert(lot.merge(change: -lot[:change].to_i, kind: "corrected", action_id: action))
      end
      from(:lots).delete
      run "INSERT INTO lots (material_id, length, width, end_width, count) " \
        "SELECT material_id, length, width, end_width, SUM(`change`) FROM entries " \
        "GROUP BY material_id, length, width, end_width ORDER BY MIN(id)"
    end
  end

  down { drop_table?(:lots) }
end
