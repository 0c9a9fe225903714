# frozen_string_literal: true

require "json"
require_relative "../../http/problem"

module Server
  class Archive
    # Whether a row of an archive says what a screen could have sent: every column of its kind and within its bounds,
    # every document as it is read when it is shown. What would break a list or a screen is refused before anything is
    # changed.
    class RowCheck
      WHOLE = {"tinyint" => 127, "int" => 2**31 - 1, "bigint" => 2**63 - 1}.freeze
      UNITS = %w[in cm].freeze
      # What it takes to read a line and a step of a finished make.
      LINE = {"method" => String, "material" => String, "name" => String, "planned" => Numeric,
              "used" => Numeric}.freeze
      STEP = {"key" => String, "title" => String, "planned" => Numeric, "took" => Numeric}.freeze
      # Numbers of a make that are less than this are read everywhere.
      MOST = 1e9

      Unlike = Class.new(StandardError)
      private_constant :Unlike

      # @param schemas [#call] the columns of a table, as Sequel describes them
      def initialize(&schemas)
        @schemas = schemas
      end

      # @param table [String]
      # @param row [Hash{Symbol=>Object}] as the database would take it
      # @raise [Problem]
      def call(table, row)
        row.each { |name, value| column(name, @schemas.call(table.to_sym).fetch(name.to_s), value) }
        document(table, row)
      rescue Unlike => unlike
        raise Problem.at("tables.#{table}", "A row of “#{table}” holds something that cannot be read: " \
          "#{unlike.message}. Nothing was changed.")
      rescue Lantern::Problem => problem
        says = problem.problems.first.says
        raise Problem.at("tables.#{table}", "“#{row[:name].to_s[0, 40]}” cannot be read: #{says}")
      end

      private

      def unlike(name, says) = raise(Unlike, "its #{name} is #{says}")

      def column(name, about, value)
        return if value.nil? && about[:allow_null]
        case about[:type]
        when :integer then whole(name, about, value)
        when :boolean then [true, false, 0, 1].include?(value) || unlike(name, "neither true nor false")
        when :datetime then value.is_a?(Time) || unlike(name, "no time")
        when :blob then value.is_a?(Sequel::SQL::Blob) || unlike(name, "no bytes")
        else text(name, about, value)
        end
      end

      def whole(name, about, value)
        most = WHOLE.fetch(about[:db_type][/\A\w+/])
        value.is_a?(Integer) && value.abs <= most or unlike(name, "no whole number of its size")
      end

      def text(name, about, value)
        value.instance_of?(String) && value.valid_encoding? && !value.include?("\0") or unlike(name, "no text")
        unlike(name, "longer than it may be") if about[:max_length] && value.length > about[:max_length]
      end

      def document(table, row)
        case table
        when "settings" then setting(row)
        when "materials"
          unit(row)
          document = object(row, :document)
          Lantern::Plan::Material.check(document, units: row[:units])
          unlike(:kind, "another than its document says") unless row[:kind] == document["kind"]
        when "wreaths" then Store::Wreaths.showable(object(row, :plan))
        when "occasions", "forms"
          unit(row)
          object(row, :document)
        when "makes" then make(row)
        when "actions" then earlier(row)
        end
      end

      def unit(row) = UNITS.include?(row[:units]) || unlike(:units, "neither “in” nor “cm”")

      def setting(row)
        name, value = row.values_at(:name, :value)
        Store::Settings.check(name => value) if Store::Settings::USUAL.key?(name)
      end

      def make(row)
        object(row, :plan)
        list(row, :lines, LINE)
        list(row, :steps, STEP)
        unlike(:photo_type, "none of a photo's") if row[:photo].nil? != row[:photo_type].nil?
      end

      # An action undoes and settles what was done before it.
      def earlier(row)
        %i[undoes settles].each { |name| unlike(name, "a later action") if row[name] && row[name] >= row[:id] }
      end

      def object(row, name)
        parsed(row, name).tap { _1.is_a?(Hash) || unlike(name, "no object with named fields") }
      end

      def list(row, name, fields)
        all = parsed(row, name)
        unlike(name, "no list") unless all.is_a?(Array)
        all.each do |each|
          each.is_a?(Hash) && fields.all? { |field, kind| of_kind?(each[field], kind) } or
            unlike(name, "a list with something else in it than #{name}")
          wrong = each.find { |field, value| value.is_a?(Numeric) && !of_kind?(value, Numeric) || extra?(field, value) }
          unlike(name, "a list whose #{wrong.first} cannot be read") if wrong
        end
      end

      def of_kind?(value, kind)
        return value.is_a?(kind) unless kind == Numeric
        value.is_a?(Numeric) && !value.is_a?(Complex) && value.between?(0, MOST)
      end

      # What lines and steps may say besides is text, a number or nothing.
      def extra?(field, value)
        (field == "expected") ? !(value.nil? || value.is_a?(Numeric)) : value.is_a?(Enumerable)
      end

      def parsed(row, name)
        JSON.parse(row[name].to_s, max_nesting: 40)
      rescue JSON::ParserError
        unlike(name, "not JSON")
      end
    end
  end
end
