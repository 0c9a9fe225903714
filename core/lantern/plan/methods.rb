# frozen_string_literal: true

module Lantern
  module Plan
    # What a plan's layers can be made by: every class of layer, by its name in plans. A layer makes itself
    # known when its file is loaded.
    Methods = Registry.new("method")
  end
end
