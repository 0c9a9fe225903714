# frozen_string_literal: true

# Times were of a type that ends in 2038; now they do not, and are in UTC.
Sequel.migration do
  up do
    run "SET time_zone = '+00:00'"
    {wreaths: %w[created_at updated_at], materials: %w[created_at updated_at], forms: %w[created_at updated_at],
     occasions: %w[created_at updated_at], makes: %w[created_at updated_at], actions: %w[at], bench_events: %w[at],
     requests: %w[at]}.each do |table, columns|
      columns.each { run "ALTER TABLE #{table} MODIFY `#{_1}` DATETIME NOT NULL DEFAULT CURRENT_TIMESTAMP" }
    end
  end

  down { nil }
end
