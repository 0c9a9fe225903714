# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/api"

RSpec.describe "Settings", :api, :store do
  def pdf(path)
    header "Host", "localhost"
    get "/api#{path}"
    PDF::Reader.new(StringIO.new(last_response.body))
  end

  it "are dollars and letter until something else is said, and what is wrong is refused" do
    usual = {"currency" => "USD", "paper" => "letter", "sureness" => "0.9", "smallest_mark" => "", "ask_uncut" => "yes"}
    expect(ask(:get, "/settings")).to eq usual
    expect(ask(:put, "/settings", {currency: "EUR"})).to eq(usual.merge("currency" => "EUR"))
    expect(ask(:put, "/settings", {paper: "a4"})).to eq(usual.merge("currency" => "EUR", "paper" => "a4"))
    own = {sureness: "0.95", smallest_mark: "2 mm", ask_uncut: "no"}
    expect(ask(:put, "/settings", own)).to include(own.transform_keys(&:to_s))
    {sureness: "1.5", smallest_mark: "a hand", ask_uncut: "perhaps"}.each do |name, said|
      expect(ask(:put, "/settings", {name => said})["problems"][0]["at"]).to eq name.to_s
    end
    expect(ask(:put, "/settings", {currency: "euro"})["problems"][0]["at"]).to eq "currency"
    expect(ask(:put, "/settings", {paper: "a3"})["problems"][0]["at"]).to eq "paper"
    expect(ask(:get, "/settings")).to include("currency" => "EUR", "paper" => "a4", "smallest_mark" => "2 mm")
  end

  it "say in which currency a plan is reckoned that names none, and on what paper it is printed" do
    ask(:put, "/settings", {currency: "GBP", paper: "a4"})
    worked = ask(:post, "/work", example_plan("door-7-rope-ring"))
    expect(worked["currency"]).to eq "GBP"
    expect(worked["tape"].find { _1["key"] == "money" }["figure"]).to eq "£10.50"
    # What a program reads stays a plain decimal.
    expect(worked["cost"]["to_buy"]).to eq "10.50"
    own = ask(:post, "/work", example_plan("door-7-rope-ring").merge("currency" => "CHF"))
    expect(own["tape"].find { _1["key"] == "money" }["figure"]).to eq "CHF 10.50"
    id = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})["id"]
    sheet = pdf("/wreaths/#{id}/cut-sheet.pdf")
    expect(sheet.pages.first.attributes[:MediaBox].last).to be_within(0.1).of(297 / 25.4 * 72)
    expect(sheet.pages.first.text).to include "£10.50"
  end
end
