# frozen_string_literal: true

require "fileutils"
require "vips"
require_relative "application"
require_relative "mutations"

module Trial
  # A disk of its own under the application, filled by eight writers until they are told so, then to the last byte by
  # somebody else; killed and started on the full disk; and room made again. It has to be mounted, so only root can.
  class FullDisk
    WRITERS = 8
    SIZE = "290m"
    # Bytes of something that can be thrown away.
    FILM = 20_000_000

    # @param folder [String] where the disk is mounted
    def initialize(folder)
      @folder = folder
      @kept, @answers, @lock = [], Hash.new(0), Mutex.new
    end

    # @return [Hash] what came of it
    def call
      system("mount", "-t", "tmpfs", "-o", "size=#{SIZE}", "tmpfs", @folder) or
        return {"not tried" => "a disk can only be mounted by root"}
      File.binwrite(film, Random.bytes(FILM))
      @application = Application.new(@folder, "--empty")
      @application.start
      Array.new(WRITERS) { |number| Thread.new { write(number) } }.each(&:join)
      found = {"acknowledged" => @kept.size, "answers" => @answers.to_a.join(" "), **look("told to be full")}
      fill
      found.update(look("filled to the last byte"), "a save then" => save("too late").first)
      @application.kill(:both)
      @application.start
      found.update(look("killed and started on it"), "a save on it" => save("on it").first)
      fill(seconds: 3)
      found.update(look("what was held back filled too"))
      FileUtils.rm_f([filler, film])
      found.update("a save with room again" => saved_in_time, **look("with room again"))
    ensure
      @application&.stop
      system("umount", "--lazy", @folder)
    end

    private

    def filler = File.join(@folder, "somebody else's")

    def film = File.join(@folder, "film")

    # Until nothing was taken for a while.
    def write(number)
      full = 0
      (1..).each do |turn|
        name = "#{number}-#{turn}"
        status, = turn.even? ? save(name) : @application.ask("post", "/pictures", {picture: noise})
        @lock.synchronize { @answers[status] += 1 }
        full = (status == 507) ? full + 1 : 0
        break if full > 20
      end
    end

    def save(name)
      status, answer = @application.ask("post", "/wreaths", {plan: Mutations::EXAMPLES.first.merge("name" => name)})
      @lock.synchronize { @kept << name } if status == 201
      [status, answer]
    end

    # A picture that no file system makes smaller, and no two alike.
    def noise
      noise = Vips::Image.gaussnoise(1000, 1000, sigma: 60, mean: 128, seed: rand(1 << 30))
      bytes = noise.cast(:uchar).jpegsave_buffer(Q: 90)
      "data:image/jpeg;base64,#{[bytes].pack("m0")}"
    end

    # @param seconds [Numeric] how long whatever is let go is filled too
    def fill(seconds: 0)
      ends = now + seconds
      begin
        File.open(filler, "ab") { |file| loop { file.syswrite("x" * 65_536) } }
      rescue Errno::ENOSPC
        sleep 0.01
        retry if now < ends
      end
      sleep 1
    end

    # @return [Hash] how many reads of so many were answered, and what is missing of what was acknowledged
    def look(name)
      reads = Array.new(20) { @application.ask("get", "/wreaths", patience: 60) }
      there = reads.last.last.to_h["wreaths"].to_a.map { _1["name"] }
      {name => "#{reads.count { _1.first == 200 }} of 20 reads, #{(@kept - there).size} lost"}
    end

    def saved_in_time
      ends = now + 20
      sleep 0.1 until (status = save("again").first) == 201 || now > ends
      status
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
