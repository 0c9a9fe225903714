# frozen_string_literal: true

# Everything that is kept belongs to a workshop, and is known by the workshop's number and its own: two workshops can
# have the same numbers, so that what was taken out of one is put into another as it was. A row can only name rows of
# its own workshop. What was kept before belongs to the first.
Sequel.migration do
  keys = {settings: %i[name], pictures: %i[id], materials: %i[id], actions: %i[id], occasions: %i[id],
          occasion_ticks: %i[occasion_id place], wreaths: %i[id], entries: %i[id], ticks: %i[wreath_id place],
          forms: %i[id], makes: %i[id], bench_events: %i[id], lots: %i[id], requests: %i[name],
          kept_answers: %i[digest]}
  numbered = %i[materials actions occasions wreaths entries forms makes bench_events lots]
  unique = {materials: [%i[slug]], forms: [%i[name]], actions: [%i[undoes]], bench_events: [%i[event]],
            lots: [%i[material_id length width end_width]]}
  sorted = {entries: [%i[material_id length width], %i[action_id]], bench_events: [%i[wreath_id make_id]],
            makes: [%i[wreath_id]], wreaths: [%i[occasion_id], %i[cut_action]], occasions: [%i[cut_action]]}
  # What is looked for in all workshops at once: what is old enough to go.
  old = {wreaths: :deleted_at, materials: :deleted_at, occasions: :deleted_at, requests: :at, pictures: :created_at,
         kept_answers: :used_on}
  # A row and what it names; and what becomes of it when that goes.
  names = {
    actions: {undoes: [:actions, ""]},
    entries: {action_id: [:actions, ""], material_id: [:materials, "ON DELETE CASCADE"]},
    lots: {material_id: [:materials, "ON DELETE CASCADE"]},
    ticks: {wreath_id: [:wreaths, "ON DELETE CASCADE"]},
    occasion_ticks: {occasion_id: [:occasions, "ON DELETE CASCADE"]},
    bench_events: {wreath_id: [:wreaths, "ON DELETE CASCADE"], make_id: [:makes, "ON DELETE CASCADE"]},
    # These let go of what they name before it goes.
    makes: {wreath_id: [:wreaths, ""]},
    wreaths: {cut_action: [:actions, ""], occasion_id: [:occasions, ""]},
    occasions: {cut_action: [:actions, ""]}
  }

  up do
    create_table?(:workshops) do
      primary_key :id
      String :name, size: 120, null: false
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:workshop_named) { char_length(:name) > 0 }
    end
    from(:workshops).insert_ignore.insert(id: 1, name: "This workshop")

    create_table?(:memberships) do
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade
      foreign_key :workshop_id, :workshops, null: false, on_delete: :cascade
      String :role, size: 10, null: false
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id workshop_id]
      constraint(:member_role, role: %w[maker helper])
    end
    # Who had an account of the house made everything in it.
    run "INSERT IGNORE INTO memberships (account_id, workshop_id, role) SELECT id, 1, 'maker' FROM accounts"

    create_table?(:invitations) do
      column :digest, "CHAR(64)", primary_key: true
      # None where whoever is invited gets a workshop of their own.
      foreign_key :workshop_id, :workshops, on_delete: :cascade
      String :role, size: 10, null: false
      DateTime :until, null: false
      constraint(:invited_role, role: %w[maker helper])
    end

    # Who does what only one should do at a time, and until when nobody else does.
    create_table?(:leases) do
      String :name, size: 60, primary_key: true
      String :holder, size: 60, null: false
      DateTime :until, null: false
    end

    database = get(Sequel.function(:database))
    tables = keys.keys.map(&:to_s)
    # What rows named by their number alone, and what they were found by.
    named = from(Sequel[:information_schema][:referential_constraints])
      .where(constraint_schema: database, table_name: tables).exclude(Sequel.like(:constraint_name, "own\\_%"))
      .select_hash_groups(:TABLE_NAME, :CONSTRAINT_NAME)
    named.each do |table, constraints|
      run "ALTER TABLE `#{table}` #{constraints.map { "DROP FOREIGN KEY IF EXISTS `#{_1}`" }.join(", ")}"
    end
    indices = from(Sequel[:information_schema][:statistics]).where(table_schema: database, table_name: tables)
    found = indices.exclude(index_name: "PRIMARY").exclude(Sequel.like(:index_name, "own\\_%")).distinct
      .select_hash_groups(:TABLE_NAME, :INDEX_NAME)
    done = indices.where(index_name: "PRIMARY", column_name: "workshop_id").select_map(:table_name)

    of_all = ->(columns) { [:workshop_id, *columns].map { "`#{_1}`" }.join(", ") }
    keys.each do |table, columns|
      changes = ["ADD COLUMN IF NOT EXISTS workshop_id INTEGER NOT NULL DEFAULT 1 FIRST"]
      changes += ["DROP PRIMARY KEY", "ADD PRIMARY KEY (#{of_all.call(columns)})"] unless done.include?(table.to_s)
      changes << "ADD INDEX IF NOT EXISTS own_number (id)" if numbered.include?(table)
      changes += found.fetch(table.to_s, []).map { "DROP INDEX IF EXISTS `#{_1}`" }
      {"UNIQUE INDEX" => unique, "INDEX" => sorted}.each do |kind, lists|
        changes += lists.fetch(table, []).map { |list|
          "ADD #{kind} IF NOT EXISTS own_#{list.join("_")} (#{of_all.call(list)})"
        }
      end
      changes << "ADD INDEX IF NOT EXISTS own_old (`#{old[table]}`)" if old[table]
      run "ALTER TABLE `#{table}` #{changes.join(", ")}"
    end

    keys.each_key do |table|
      changes = names.fetch(table, {}).map do |column, (other, going)|
        "ADD CONSTRAINT own_#{table}_#{column} FOREIGN KEY IF NOT EXISTS own_#{table}_#{column} " \
          "(workshop_id, `#{column}`) REFERENCES `#{other}` (workshop_id, id) #{going}"
      end
      changes << "ADD CONSTRAINT own_#{table} FOREIGN KEY IF NOT EXISTS own_#{table} (workshop_id) " \
        "REFERENCES workshops (id)"
      # Whoever forgets whose a row is, is told.
      run "ALTER TABLE `#{table}` #{changes.join(", ")}, ALTER COLUMN workshop_id DROP DEFAULT"
    end
  end

  # Rows of several workshops cannot be told apart by their numbers again.
  down { raise Sequel::Migrator::Error, "What belongs to workshops stays theirs." }
end
