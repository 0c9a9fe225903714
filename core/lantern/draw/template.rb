# frozen_string_literal: true

module Lantern
  module Draw
    # Outlines at their true size, to be printed, cut out and laid on felt, cloth, mesh or board. Points are
    # inches, the middle of the form at nought, y running down.
    Template = Value.define(:name, :title, :says, :outlines)

    class Template
      class << self
        # @param plan [Plan::Document]
        # @param layers [Array<Cover::Covering>]
        # @return [Array<Template>] those that this plan has a use for
        def all(plan, layers)
          form = plan.band
          [outline(form), *panel(layers), back(form, layers), *mesh(form), *board(form)]
        end

        private

        def outline(form) = new(name: "outline", title: "Outline", says: "The form itself, its outer and its inner edge.", outlines: band(form, form.half_face))

        def panel(layers)
          layers.grep(Cover::Panel).first(1).map do |layer|
            reach = layer.form.half_face + layer.form.section.depth + layer.tab.to_f
            whole = Form::Silhouette.of(layer.form, reach)
            outlines = (layer.share < 1) ? Form::Silhouette.new(whole.outlines).below(layer.top - layer.tab.to_f) : whole.outlines
            new(name: "panel", title: "Panel", says: "The cloth, with what goes round the edge and the tab.", outlines:)
          end
        end

        def back(form, layers)
          layer = layers.grep(Trim::Backing).first
          reach = layer ? layer.reach : form.half_face - [0.25, form.half_face / 2].min
          new(name: "back", title: "Back", says: layer ? "The felt, smaller by the margin all round." : "The felt, a quarter of an inch smaller all round.", outlines: band(layer ? layer.form : form, reach))
        end

        def mesh(form)
          return [] unless form.closed?
          [new(name: "mesh", title: "Mesh for the middle", says: "What the inner edge leaves open.", outlines: form.opening.outlines)]
        end

        def board(form) = (form.base == :board) ? [new(name: "board", title: "Board", says: "To be cut from a board with the blade going away from the hand.", outlines: band(form, form.half_face))] : []

        # Both edges of a band; where it is open, once round it.
        def band(form, reach) = Form::Silhouette.of(form, reach).outlines + (form.closed? ? Form::Silhouette.of(form, -reach).outlines : [])
      end
    end
  end
end
