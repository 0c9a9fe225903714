# frozen_string_literal: true

# All wreaths of an occasion can be cut as one.
Sequel.migration do
  change do
    alter_table(:occasions) { add_foreign_key :cut_action, :actions }

    create_table(:occasion_ticks) do
      foreign_key :occasion_id, :occasions, null: false, on_delete: :cascade
      String :place, size: 120, null: false
      primary_key %i[occasion_id place]
    end
  end
end
