# frozen_string_literal: true

# A piece of cloth may be narrower at its far end.
Sequel.migration do
  up { run "ALTER TABLE entries ADD COLUMN IF NOT EXISTS end_width BIGINT NOT NULL DEFAULT 0" }

  down { run "ALTER TABLE entries DROP COLUMN IF EXISTS end_width" }
end
