# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Every view", :browser, :store do
  before { load_demo }

  # Every view with the demo in it, and what shows that it is there.
  def views
    id = ->(name) { RealStore.store.wreaths.all.find { _1["name"].include?(name) }["id"] }
    stages = %w[form cover trim hang cut buy].to_h { |stage|
      ["/wreaths/#{id.call("rope and bow")}/#{stage}",
        "footer li"]
    }
    {"/" => "li h2", "/stash" => "h3", "/new" => "button svg",
     "/settings" => "h2", "/words" => "table", "/occasions" => "h2 a",
     "/occasions/#{RealStore.store.occasions.all[0]["id"]}" => "dl dt", "/notebook" => "h3",
     "/wreaths/#{id.call("rope ring")}/coverings" => "li svg[role=img]",
     "/wreaths/#{id.call("rope and bow")}/door" => "footer li",
     "/wreaths/#{id.call("ribbon laid in")}/bench" => "nav[aria-label=Steps]"}.merge(stages)
  end

  def as_the_machine(scheme)
    page.driver.browser.page.command("Emulation.setEmulatedMedia",
      features: [{name: "prefers-color-scheme", value: scheme}])
  end

  it "has nothing for axe to find, by day and at dusk, on a phone, a tablet and a table" do
    # What is dark is so by its colours alone: there those of axe's rules that look at colours.
    colours = %w[color-contrast link-in-text-block]
    views.each do |path, there|
      grounds = {"light" => nil, "dark" => colours}.map do |look, rules|
        as_the_machine(look)
        visit path
        expect(page).to have_css(there, minimum: 1)
        [[1280, 800], [768, 1024], [390, 844]].each do |width, height|
          keep_window(width, height) { expect(page).to be_axe_clean(rules), "#{path}, #{look}, #{width} px" }
        end
        page.evaluate_script("getComputedStyle(document.body).backgroundColor")
      end
      expect(grounds.uniq.size).to eq(2), path
    end
  ensure
    as_the_machine("")
  end

  # A phone, and a window of 1280 by 800 at twice and at four times the size.
  it "holds on a phone, at twice and at four times the size: nothing runs out to the side" do
    views.each do |path, there|
      visit path
      expect(page).to have_css(there, minimum: 1)
      [[390, 844], [640, 400], [320, 200]].each do |width, height|
        keep_window(width, height) do
          expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= width, path
        end
      end
    end
  end

  it "leaves the wreath half of a phone, under one line of head and over two figures of the tape" do
    keep_window(390, 844) do
      open_wreath("rope and bow", "cover")
      expect(page).to have_css("footer li", minimum: 3)
      high = ->(css) { page.evaluate_script("document.querySelector(#{css.to_json}).getBoundingClientRect().height") }
      expect(high.call("header")).to be < 60
      expect(high.call("[aria-label=Drawing]")).to be >= 422
      figure = page.evaluate_script("document.querySelector('footer li').getBoundingClientRect().width")
      expect(figure).to be_within(20).of(390 / 2.0)
      expect(page).to have_no_field("Wreaths alike")
      click_on "More"
      expect(page).to have_field("Wreaths alike")
      visit page.current_path.sub("cover", "form")
      within("[aria-label=Stage]") { find("label", text: "cm", exact_text: true).click }
      expect(page).to have_css("footer button", text: /\d cm/)
    end
  end
end
