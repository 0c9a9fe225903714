# frozen_string_literal: true

module Lantern
  module Form
    # A form as a plan says it, and as it was measured when the plan was read: sizes that cannot be are no plan.
    Said = Value.define(:sizes, :band)
  end
end
