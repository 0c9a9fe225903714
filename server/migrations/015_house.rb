# frozen_string_literal: true

# Accounts of a house: who may sign in, on which devices, and links that pair one.
Sequel.migration do
  up do
    create_table?(:accounts) do
      primary_key :id
      String :login, size: 120, null: false, unique: true
      String :password_hash, size: 100, null: false
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    create_table?(:account_active_session_keys) do
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade
      String :session_id, size: 100, null: false
      String :device, size: 120, null: false, default: ""
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :last_use, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end
    create_table?(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      Integer :number, null: false, default: 1
    end
    create_table?(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, size: 100, null: false
      DateTime :deadline, null: false
      DateTime :email_last_sent
    end
    create_table?(:pairings) do
      column :digest, "CHAR(64)", primary_key: true
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade
      DateTime :until, null: false
    end
    create_table?(:attempts) do
      String :name, size: 190, primary_key: true
      Integer :number, null: false, default: 0
      DateTime :until, null: false
    end
  end

  down do
    drop_table?(:attempts, :pairings, :account_lockouts, :account_login_failures, :account_active_session_keys,
      :accounts)
  end
end
