# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"
require_relative "../support/trial/application"

RSpec.describe "A server that dies at the bench", :browser do
  let(:application) { Trial::Application.new(Dir.mktmpdir("lantern-bench")) }

  after do
    Capybara.app_host = nil
    application.stop
    FileUtils.rm_rf(application.var)
  end

  it "has the right count at every step, killed and started again" do
    address = application.start.address.to_s
    Capybara.app_host = address
    Capybara.run_server = false
    visit "/"
    first("h2 a", text: "Door 7, rope ring").click
    id = page.current_path[%r{/wreaths/(\d+)}, 1]
    visit "/wreaths/#{id}/bench"
    {"Coil the cord" => 3, "Push in the fillers" => 4}.each do |title, count|
      find("nav[aria-label=Steps] button", text: title).click
      expect(page).to have_css("h2", text: title)
      press(:space)
      expect(page).to have_css("[data-count]", text: /\A1\z/)
      application.kill(:application)
      (count - 1).times { press(:space) }
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
      expect(page).to have_css("[data-kept]", text: "the server is away")
      expect(application.start.address.to_s).to eq address
      expect(page).to have_css("[data-kept]", text: "Saved")
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
      page.refresh
      expect(page).to have_css("h2", text: title)
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
    end
    kept = application.ask("get", "/wreaths/#{id}/bench").last
    expect(kept["counts"]).to eq("base.coil" => 3, "base.fill" => 4)
  ensure
    Capybara.run_server = true
  end
end
