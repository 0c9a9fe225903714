# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "How the hands go", :api, :store do
  it "is told move by move, of every move that a step can name; of no other there is anything" do
    Lantern.declarations["moves"].each do |declared|
      move = ask(:get, "/moves/#{declared["key"]}")
      expect(move).to include("key" => declared["key"], "says" => declared["says"])
      expect(move["frames"].flat_map { _1["marks"] }).to all(include("path"))
    end
    ask(:get, "/moves/no_such_move")
    expect(last_response.status).to eq 404
  end
end
