# frozen_string_literal: true

require_relative "../tenancy/dataset"

module Server
  # What is old enough to go, in all workshops at once: what was deleted thirty days ago, what was answered or sent in
  # part more than a day ago, pictures that nothing names, and answers that nobody asked for in a long time.
  class CleanUp
    # So many rows go at a time, so that nobody waits for them.
    AT_ONCE = 500

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
    end

    def call
      empty_bin(:wreaths) do |gone|
        @database[:makes].where([TenantDataset::COLUMN, :wreath_id] => gone).update(wreath_id: nil)
      end
      empty_bin(:occasions) { |gone|
        @database[:wreaths].where([TenantDataset::COLUMN, :occasion_id] => gone).update(occasion_id: nil)
      }
      empty_bin(:materials)
      drop(:requests, %i[name], Sequel[:at] < ago("1 DAY"))
      drop(:kept_answers, %i[digest], Sequel[:used_on] < Date.today - Store::Kept::DAYS)
      drop(:upload_parts, %i[upload number], Sequel[:at] < ago("1 DAY"))
      pictures
    end

    private

    def ago(time) = Sequel.lit("UTC_TIMESTAMP() - INTERVAL #{time}")

    # @yieldparam gone [Array<(Integer, Integer)>] workshops and the numbers of the rows that go
    def empty_bin(table)
      old = Sequel[:deleted_at] < ago("#{Store::Binned::DAYS} DAY")
      in_slices(table, %i[id], old) do |found|
        @database.atomically do
          # What was brought back in the meantime stays.
          gone = @database[table].where([TenantDataset::COLUMN, :id] => found).where(old).order(:id).for_update
            .select_map([TenantDataset::COLUMN, :id])
          next if gone.empty?
          yield gone if block_given?
          @database[table].where([TenantDataset::COLUMN, :id] => gone).delete
        end
      end
    end

    def drop(table, keys, old)
      in_slices(table, keys, old) { |gone| @database[table].where([TenantDataset::COLUMN, *keys] => gone).delete }
    end

    def in_slices(table, keys, old)
      loop do
        gone = @database[table].where(old).limit(AT_ONCE).select_map([TenantDataset::COLUMN, *keys])
        yield gone if gone.any?
        return if gone.size < AT_ONCE
      end
    end

    # What neither a material nor a wreath nor a place names goes; what one does is looked at again after as many days.
    def pictures
      in_slices(:pictures, %i[id], Sequel[:created_at] < ago("#{Store::Pictures::DAYS} DAY")) do |old|
        old.each do |workshop, id|
          row = @database[:pictures].where(TenantDataset::COLUMN => workshop, :id => id)
          named?(workshop, id) ? row.update(created_at: Sequel.lit("UTC_TIMESTAMP()")) : row.delete
        end
      end
    end

    def named?(workshop, id)
      {materials: :document, wreaths: :plan, places: :document}.any? do |table, column|
        @database[table].where(TenantDataset::COLUMN => workshop).where(Sequel.like(column, "%#{id}%")).any?
      end
    end
  end
end
