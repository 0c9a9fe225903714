# frozen_string_literal: true

# Which kinds of material there are is said by the core, which reads every material before it is kept; the tables no
# longer keep a list of their own.
Sequel.migration do
  up { run "ALTER TABLE materials DROP CONSTRAINT IF EXISTS material_kind" }

  down { nil }
end
