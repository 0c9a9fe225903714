# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/browser"
require_relative "../support/keys"

RSpec.describe "A server that dies at the bench", :browser do
  let(:var) { Dir.mktmpdir("lantern-bench") }

  def start(port)
    reader, writer = IO.pipe
    pid = Process.spawn({"VAR" => var, "PORT" => port.to_s}, RbConfig.ruby, "server/launch.rb", out: writer,
      err: File::NULL)
    writer.close
    said = +""
    Timeout.timeout(90) { said << reader.readline until said.include?("Crisp Lantern is at") }
    [pid, said[%r{http://[\d.]+:\d+}]]
  end

  def kill(pid, signal)
    Process.kill(signal, pid)
    Process.wait(pid)
  end

  after do
    Capybara.app_host = nil
    Server::MariaDB.new(File.join(var, "mariadb")).stop
    FileUtils.rm_rf(var)
  end

  it "has the right count at every step, killed and started again" do
    port = TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
    pid, address = start(port)
    Capybara.app_host = address
    Capybara.run_server = false
    visit "/"
    first("h2 a", text: "Door 7, rope ring").click
    id = page.current_path[%r{/wreaths/(\d+)}, 1]
    visit "/wreaths/#{id}/bench"
    {"Cut the pieces" => 2, "Coil the cord" => 3, "Push in the fillers" => 4}.each do |title, count|
      find("nav[aria-label=Steps] button", text: title).click
      expect(page).to have_css("h2", text: title)
      press(:space)
      expect(page).to have_css("[data-count]", text: /\A1\z/)
      kill(pid, "KILL")
      (count - 1).times { press(:space) }
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
      expect(page).to have_css("[data-kept]", text: "the server is away")
      pid, again = start(port)
      expect(again).to eq address
      expect(page).to have_css("[data-kept]", text: "Saved", wait: 20)
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
      page.refresh
      expect(page).to have_css("h2", text: title)
      expect(page).to have_css("[data-count]", text: /\A#{count}\z/)
    end
    kept = JSON.parse(Net::HTTP.get(URI("#{address}/api/wreaths/#{id}/bench")))
    expect(kept["counts"]).to eq("cut" => 2, "base.coil" => 3, "base.fill" => 4)
    kill(pid, "TERM")
  ensure
    Capybara.run_server = true
  end
end
