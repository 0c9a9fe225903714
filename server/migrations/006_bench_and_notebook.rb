# frozen_string_literal: true

Sequel.migration do
  up do
    create_table?(:makes) do
      primary_key :id
      foreign_key :wreath_id, :wreaths, on_delete: :set_null
      String :wreath_name, size: 200, null: false
      column :plan, "JSON", null: false
      column :lines, "JSON", null: false
      Integer :minutes, null: false, default: 0
      column :steps, "JSON", null: false
      String :note, size: 4000, null: false, default: ""
      column :photo, "MEDIUMBLOB"
      String :photo_type, size: 40
      Integer :version, null: false, default: 1
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :updated_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:make_minutes) { minutes >= 0 }
    end

    # What happened at the bench, each once, whoever sends it how often.
    create_table?(:bench_events) do
      primary_key :id
      foreign_key :wreath_id, :wreaths, null: false, on_delete: :cascade
      foreign_key :make_id, :makes, on_delete: :cascade
      String :event, size: 60, null: false, unique: true
      String :step, size: 120, null: false
      String :kind, size: 10, null: false
      Integer :amount, null: false, default: 0
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:event_kind, kind: %w[count go time])
    end
    run "CREATE INDEX IF NOT EXISTS bench_events_wreath_id_make_id_index ON bench_events (wreath_id, make_id)"
  end

  down { drop_table?(:bench_events, :makes) }
end
