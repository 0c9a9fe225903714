# frozen_string_literal: true

# What was asked once and answered, for a day, so that whoever sends it again gets the same answer; and a bin.
Sequel.migration do
  up do
    create_table?(:requests) do
      String :name, size: 80, primary_key: true
      String :route, size: 200, null: false
      Integer :status
      column :body, "MEDIUMTEXT"
      DateTime :at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    %w[wreaths occasions materials].each { run "ALTER TABLE #{_1} ADD COLUMN IF NOT EXISTS deleted_at DATETIME NULL" }
    run "ALTER TABLE materials ADD COLUMN IF NOT EXISTS deleted_slug VARCHAR(60) NULL"
    run "ALTER TABLE occasions ADD COLUMN IF NOT EXISTS deleted_wreaths JSON NULL"
  end

  down do
    %w[wreaths occasions materials].each { run "ALTER TABLE #{_1} DROP COLUMN IF EXISTS deleted_at" }
    run "ALTER TABLE materials DROP COLUMN IF EXISTS deleted_slug"
    run "ALTER TABLE occasions DROP COLUMN IF EXISTS deleted_wreaths"
    drop_table?(:requests)
  end
end
