# frozen_string_literal: true

# All wreaths of an occasion can be cut as one.
Sequel.migration do
  up do
    run "ALTER TABLE occasions ADD COLUMN IF NOT EXISTS cut_action INTEGER NULL"
    run "ALTER TABLE occasions ADD CONSTRAINT occasions_cut FOREIGN KEY IF NOT EXISTS occasions_cut (cut_action) " \
      "REFERENCES actions (id)"

    create_table?(:occasion_ticks) do
      foreign_key :occasion_id, :occasions, null: false, on_delete: :cascade
      String :place, size: 120, null: false
      primary_key %i[occasion_id place]
    end
  end

  down do
    drop_table?(:occasion_ticks)
    run "ALTER TABLE occasions DROP FOREIGN KEY IF EXISTS occasions_cut"
    run "ALTER TABLE occasions DROP FOREIGN KEY IF EXISTS occasions_ibfk_1"
    run "ALTER TABLE occasions DROP COLUMN IF EXISTS cut_action"
  end
end
