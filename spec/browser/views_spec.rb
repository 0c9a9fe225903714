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
    {"/" => "li h2", "/stash" => "h3", "/occasions" => "h2 a",
     "/occasions/#{RealStore.store.occasions.all[0]["id"]}" => "dl dt", "/notebook" => "h3",
     "/wreaths/#{id.call("rope ring")}/coverings" => "li svg[role=img]",
     "/wreaths/#{id.call("ribbon laid in")}/bench" => "nav[aria-label=Steps]"}.merge(stages)
  end

  def as_the_machine(scheme)
    page.driver.browser.page.command("Emulation.setEmulatedMedia",
      features: [{name: "prefers-color-scheme", value: scheme}])
  end

  it "has nothing for axe to find by day, and contrast enough at dusk" do
    views.each do |path, there|
      as_the_machine("light")
      visit path
      expect(page).to have_css(there, minimum: 1)
      expect(page).to be_axe_clean, path
      day = page.evaluate_script("getComputedStyle(document.body).backgroundColor")
      as_the_machine("dark")
      expect(page.evaluate_script("getComputedStyle(document.body).backgroundColor")).not_to eq(day), path
      expect(page).to be_axe_clean(["color-contrast"]), "#{path} at dusk"
    end
  ensure
    as_the_machine("")
  end

  # A phone, and a window of 1280 by 800 at twice the size.
  it "holds on a phone and at twice the size: nothing runs out to the side" do
    views.each do |path, there|
      visit path
      expect(page).to have_css(there, minimum: 1)
      [[390, 844], [640, 400]].each do |width, height|
        keep_window(width, height) do
          expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= width, path
        end
      end
    end
  end
end
