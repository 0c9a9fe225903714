# frozen_string_literal: true

require "date"
require "json"

module Server
  # A simulated shop that ships with the application and says that it is one: made-up prices for the
  # demo's materials, two sizes of some, and sale weeks that come round every other week. It asks nobody
  # anything; a real price list comes in as CSV.
  class Shop
    LIST = File.expand_path("../docs/examples/shop/prices.json", __dir__)

    def initialize(path = LIST)
      @list = JSON.parse(File.read(path))
    end

    # @param today [Date]
    # @return [Hash] ready for JSON
    def to_h(today)
      {"name" => @list["name"], "says" => @list["says"], "simulated" => true, "offers" => @list["offers"],
       "sale" => sale(today)["sale"], "sale_every" => @list["sale_every"], "on_sale" => on_sale?(today)}
    end

    # @return [Hash{String=>Array<Hash>}] what it sells, by a material's id
    def offers = @list["offers"]

    # The sale week that is on, or the next one.
    # @return [Hash] as an occasion document says it
    def sale(today)
      {"sale" => (on_sale?(today) ? begun(today) : begun(today) + @list["sale_every"]).iso8601,
       "sale_every" => @list["sale_every"]}
    end

    private

    def first = Date.iso8601(@list["first_sale"])

    # The last sale week that has begun.
    def begun(today) = today - (today - first).to_i % @list["sale_every"]

    def on_sale?(today) = (today - begun(today)).to_i < @list["sale_days"]
  end
end
