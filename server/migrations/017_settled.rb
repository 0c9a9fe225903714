# frozen_string_literal: true

# Names that people sign in by have one form, beside the one that they are shown by; invitations know who made them.
# What a finish changed in the stash belongs to the cut that it settles a share of; what happens at the bench names its
# make.
Sequel.migration do
  unseen = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/
  shown = ->(typed) { typed.unicode_normalize(:nfkc).gsub(unseen, "").gsub(/\p{Space}+/, " ").strip }
  normal = ->(typed) { shown.call(typed).downcase(:fold).unicode_normalize(:nfkc) }

  up do
    run "ALTER TABLE accounts ADD COLUMN IF NOT EXISTS name VARCHAR(120) NOT NULL DEFAULT '' AFTER login"
    from(:accounts).where(name: "").order(:id).each do |row|
      name = shown.call(row[:login])
      login = normal.call(row[:login])
      # Of several that are one name now, the first has it; the others are found as they are typed.
      taken = login.empty? || from(:accounts).where(login:).exclude(id: row[:id]).any?
      from(:accounts).where(id: row[:id])
        .update(name: name.empty? ? row[:login] : name, login: taken ? row[:login] : login)
    end
    run "ALTER TABLE invitations ADD COLUMN IF NOT EXISTS account_id INTEGER NULL"
    run "ALTER TABLE invitations ADD CONSTRAINT invitations_account FOREIGN KEY IF NOT EXISTS invitations_account " \
      "(account_id) REFERENCES accounts (id) ON DELETE CASCADE"
    # Tries are counted by name now, whether somebody has it or not.
    drop_table?(:account_lockouts, :account_login_failures)

    run "ALTER TABLE actions ADD COLUMN IF NOT EXISTS settles INTEGER NULL, " \
      "ADD COLUMN IF NOT EXISTS share INTEGER NOT NULL DEFAULT 0"
    run "ALTER TABLE actions ADD CONSTRAINT own_actions_settles FOREIGN KEY IF NOT EXISTS own_actions_settles " \
      "(workshop_id, settles) REFERENCES actions (workshop_id, id)"
    # None of makes of before: each settled all that was cut for it.
    run "ALTER TABLE makes ADD COLUMN IF NOT EXISTS count INTEGER NULL, ADD COLUMN IF NOT EXISTS round INTEGER NULL"
    run "ALTER TABLE wreaths ADD COLUMN IF NOT EXISTS round INTEGER NOT NULL DEFAULT 0"
    run "ALTER TABLE bench_events ADD COLUMN IF NOT EXISTS round INTEGER NULL, " \
      "ADD COLUMN IF NOT EXISTS late BOOLEAN NOT NULL DEFAULT 0"
    # What tells whether anything was changed is read from an index, without the plans.
    run "ALTER TABLE wreaths ADD INDEX IF NOT EXISTS own_changed (workshop_id, version, put_away, occasion_id, " \
      "cut_action, round)"
  end

  down do
    run "ALTER TABLE wreaths DROP INDEX IF EXISTS own_changed, DROP COLUMN IF EXISTS round"
    run "ALTER TABLE bench_events DROP COLUMN IF EXISTS round, DROP COLUMN IF EXISTS late"
    run "ALTER TABLE makes DROP COLUMN IF EXISTS count, DROP COLUMN IF EXISTS round"
    run "ALTER TABLE actions DROP FOREIGN KEY IF EXISTS own_actions_settles"
    run "ALTER TABLE actions DROP COLUMN IF EXISTS settles, DROP COLUMN IF EXISTS share"
    run "ALTER TABLE invitations DROP FOREIGN KEY IF EXISTS invitations_account"
    run "ALTER TABLE invitations DROP COLUMN IF EXISTS account_id"
    run "ALTER TABLE accounts DROP COLUMN IF EXISTS name"
  end
end
