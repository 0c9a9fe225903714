# frozen_string_literal: true

# Doors, walls and windows that wreaths are hung on to see how they look there.
Sequel.migration do
  up do
    # What numbers itself has to be found by its number in the same breath.
    run <<~SQL
      CREATE TABLE IF NOT EXISTS places (
        workshop_id INTEGER NOT NULL,
        id INTEGER NOT NULL AUTO_INCREMENT,
        name VARCHAR(120) NOT NULL,
        document JSON NOT NULL,
        version INTEGER NOT NULL DEFAULT 1,
        created_at DATETIME NOT NULL DEFAULT CURRENT_TIMESTAMP,
        updated_at DATETIME NOT NULL DEFAULT CURRENT_TIMESTAMP,
        PRIMARY KEY (workshop_id, id),
        INDEX own_number (id),
        CONSTRAINT own_places FOREIGN KEY (workshop_id) REFERENCES workshops (id),
        CONSTRAINT place_named CHECK (CHAR_LENGTH(name) > 0)
      )
    SQL
  end

  down do
    drop_table?(:places)
  end
end
