# frozen_string_literal: true

# The rest of a form that was cut is kept among the maker's own, and goes when the cutting is taken back.
Sequel.migration do
  up { run "ALTER TABLE forms ADD COLUMN IF NOT EXISTS cut_action INTEGER NULL" }

  down { run "ALTER TABLE forms DROP COLUMN IF EXISTS cut_action" }
end
