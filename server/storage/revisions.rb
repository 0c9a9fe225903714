# frozen_string_literal: true

require "digest"

module Server
  class Store
    # What tells a screen whether anything was changed since it last asked, without asking for it: a short text a topic,
    # that is another one as soon as a row of it is. Nothing is written for it, so nobody waits for anybody.
    class Revisions
      # By topic, the tables that it follows from, and the columns that change with whatever is shown of them.
      TOPICS = {
        wreaths: {wreaths: %i[id version put_away occasion_id cut_action round deleted_at], ticks: %i[wreath_id place]},
        materials: {materials: %i[id version deleted_at], lots: %i[id count]},
        occasions: {occasions: %i[id version cut_action deleted_at], occasion_ticks: %i[occasion_id place]},
        forms: {forms: %i[id version]},
        places: {places: %i[id version], hangings: %i[wreath_id place_id x y]},
        settings: {settings: %i[name value]},
        makes: {makes: %i[id version]}
      }.freeze

      # @param database [TenantDataset]
      def initialize(database)
        @database = database
      end

      # @return [Hash{String=>String}] by topic
      def all
        rows = tables.map { |table, columns| summed(table, columns) }.reduce { |one, other|
          one.union(other, all: true, from_self: false)
        }
        found = rows.to_h { |row| [row[:of].to_sym, row.values_at(:many, :sum).join(".")] }
        TOPICS.to_h { |topic, all| [topic.to_s, Digest::MD5.hexdigest(found.values_at(*all.keys).join(" "))[0, 12]] }
      end

      private

      def tables = TOPICS.values.reduce(:merge)

      def summed(table, columns)
        text = Sequel.function(:concat_ws, ",", *columns.map { Sequel.function(:ifnull, _1, "") })
        @database[table].select(Sequel.as(table.to_s, :of), Sequel.function(:count).*.as(:many),
          Sequel.function(:bit_xor, Sequel.function(:crc32, text)).as(:sum))
      end
    end
  end
end
