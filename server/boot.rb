# frozen_string_literal: true

# Starts the database, then the application, and stops both in the other order.
#
#   bundle exec ruby server/boot.rb     PORT and HOST choose the address; VAR where the data lives;
#                                         --empty begins without the example street, --house opens it to the
#                                         home network, where who asks has to sign in

# What was asked for, before anything else reads it in its own way.
ASKED = ENV.to_h.slice("HOST", "PORT", "VAR", "DATABASE_URL", "SECRET", "WEB_CONCURRENCY", "PROXIES").freeze
%w[PORT WEB_CONCURRENCY].each { ENV.delete(_1) }

require "etc"
require "fileutils"
require "logger"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "socket"
require_relative "http/app"
require_relative "http/thread_buffers"
require_relative "http/compression"
require_relative "auth"
require_relative "demo"
require_relative "http/forwarded_headers"
require_relative "database/private"
require_relative "database/external"
require_relative "database/health_check"
require_relative "http/request_timeout"
require_relative "storage/disk_reserve"
require_relative "tls/house_certificate"

$stdout.sync = true

module Server
  # One start of the application, from the lock on its folder to the last line it prints.
  class Boot
    LOOPBACK = {"127.0.0.1" => %w[127.0.0.1 ::1], "localhost" => %w[127.0.0.1 ::1], "::1" => %w[::1],
                "[::1]" => %w[::1]}.freeze
    # Threads for requests: more than the database and the workers can hold up between them.
    THREADS = [4, 24].freeze
    # Seconds for the first byte, for the head of a request to arrive, and for silence within a body.
    TO_ARRIVE = 20
    # Seconds for what is being answered to come to its end, for a process to go, and for the database, when it stops.
    TO_FINISH, TO_BREAK_OFF, TO_GO, TO_CLOSE = 0.5, 0.2, 1, 0.9
    # How often it is looked whether the house has another name or address, in seconds.
    MINUTE = 60
    # Seconds after which a database whose process stands still is started anew.
    HANGS = 30
    # How often everything else is looked after, in seconds.
    HOUR = 3_600
    # Logs of requests that are kept, and how large each grows.
    LOGS = 4
    LOG_BYTES = 10_000_000
    # Processes at most, where nobody says how many.
    MOST_PROCESSES = 8
    # Seconds for which nobody else looks after everything.
    LOOKED_AFTER = HOUR - 60

    # @param env [Hash] `HOST`, `PORT`, `VAR`; `DATABASE_URL`, another database than the private one; `SECRET`, for a
    #   house on several machines; `WEB_CONCURRENCY`, in how many processes it answers;
    #   `PROXIES`, the addresses of proxies whose word is taken for where a request comes from
    # @param empty [Boolean] whether a first start begins with nothing in it
    # @param house [Boolean] whether it is open to the house, behind a door
    def initialize(env, empty: false, house: false)
      said = env.fetch("HOST") { house ? "0.0.0.0" : "127.0.0.1" }
      # Another address than this machine's own opens it to others, and then they have to sign in.
      @house = house || !LOOPBACK.key?(said)
      @hosts = LOOPBACK.fetch(said, [said])
      @wanted = port(env.fetch("PORT", "9292"))
      @var = File.expand_path(env.fetch("VAR", File.join(__dir__, "../var")))
      @empty = empty
      @outside = env["DATABASE_URL"]
      # What processes on several machines have in common, so that who signed in on one is known to all.
      @secret = env["SECRET"]
      abort "SECRET is too short: 64 characters or more, the same for all." if @secret && @secret.length < 64
      @processes = processes(env["WEB_CONCURRENCY"])
      @proxies = proxies(env["PROXIES"])
    end

    def run
      FileUtils.mkdir_p(@var)
      lock or return
      start
    rescue Errno::EPIPE
      abort "Stopped: whoever read what is printed here has gone."
    rescue SystemCallError => error
      abort "#{@var} cannot be used: #{error.message.sub(/ @ .*/, "")}. Is it another user's folder, " \
        "is the disk full, or may it only be read?"
    end

    private

    def port(said)
      number = Integer(said, 10, exception: false)
      return number if number&.between?(0, 65_535)
      abort "PORT=#{said} is no port: it is a whole number from 1 to 65535, such as 9292."
    end

    def proxies(said)
      said.to_s.split(/[\s,]+/).each { IPAddr.new(_1) }
    rescue IPAddr::Error
      abort "PROXIES=#{said} are no addresses: write them like 127.0.0.1 or 10.0.0.0/24, with commas between."
    end

    # One maker at one table has enough of one process; many have one for each core.
    def processes(said)
      return (@house || @outside) ? Etc.nprocessors.clamp(1, MOST_PROCESSES) : 1 if said.to_s.empty?
      number = Integer(said, 10, exception: false)
      return number if number&.between?(1, 64)
      abort "WEB_CONCURRENCY=#{said} is no number of processes: it is a whole number from 1 to 64."
    end

    # The folder is this start's for as long as it runs; a second start says where the first one answers.
    # @return [Boolean]
    def lock
      @lock = File.open(File.join(@var, "running"), File::RDWR | File::CREAT, 0o600)
      return true if @lock.flock(File::LOCK_EX | File::LOCK_NB)
      address = @lock.read.strip
      puts address.empty? ? "Crisp Lantern is being started in this folder already." :
        "Crisp Lantern runs in this folder already: #{address}"
      false
    end

    def start
      # Every process has workers of its own.
      pool = (@processes > 1) ? WorkerPool.new(size: 2) : WorkerPool.new
      answers = TaskRunner.new(pool)
      database = @outside ? ExternalDatabase.new(@outside) : PrivateDatabase.new(File.join(@var, "mariadb"))
      App.set :disk_reserve, DiskReserve.new(@var).keep unless @outside
      puts(@outside ? "· Looking for the database" : "· Starting the database")
      database.start
      store = kept_in(database, answers)
      puts "  MariaDB on #{database.address}"
      App.set :store, store
      App.set :answers, answers
      serve(database, store, pool)
    rescue PrivateDatabase::Failed, Sequel::Error => error
      abort "The database could not be started. #{error.message}"
    ensure
      pool&.stop
    end

    # Everything that is kept, brought up to date; of several that start at once on one database, by one.
    def kept_in(database, answers)
      connection = database.connect("lantern")
      begin_with = -> {
        Store.new(connection, answers:, backups: File.join(@var, "backups")).tap { Demo.load(_1) unless @empty }
      }
      @outside ? database.alone(connection, &begin_with) : begin_with.call
    end

    def serve(database, store, pool)
      port = open_port(@wanted)
      begin_tls(port)
      puts "  Port #{@wanted} is taken; using #{port}." unless port == @wanted || @wanted.zero?
      launcher = Puma::Launcher.new(configuration(port, store, pool),
        log_writer: Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr))
      watchers = []
      # After the processes were made, so that none of them begins with a half of what is done here.
      launcher.events.after_booted {
        watchers.push(watch(database, store), maintain(store), *(renew_certificate(launcher) if App.settings.tls))
        announce(port)
      }
      launcher.run
    ensure
      watchers&.each(&:kill)
      database.stop(within: TO_CLOSE)
      start_anew(port) if @anew
      puts "Stopped; everything is saved."
    end

    # A house that is open by itself, without a proxy before it, has a certificate of its own.
    def begin_tls(port)
      return unless @house && !@outside && @proxies.empty?
      certificate = TLS::HouseCertificate.new(File.join(@var, "tls"))
      certificate.renew
      App.set :tls, {plain: port, port: open_port(port + 1), certificate:}
    rescue SystemCallError, OpenSSL::OpenSSLError => error
      warn "There is no TLS: #{error.message}. Everything works but opening it while this machine is off."
    end

    # With a new certificate everything is started anew, at the same address; whoever asks meanwhile asks again.
    def renew_certificate(launcher)
      Thread.new do
        loop do
          sleep MINUTE
          next unless App.settings.tls[:certificate].renew
          @anew = true
          launcher.stop
        rescue SystemCallError, OpenSSL::OpenSSLError => error
          warn "The certificate could not be renewed: #{error.message}."
        end
      end
    end

    def start_anew(port)
      exec(ASKED.merge("PORT" => port.to_s), RbConfig.ruby, __FILE__, *ARGV)
    end

    def announce(port)
      address = "http://#{@hosts.first.include?(":") ? "[::1]" : own_address}:#{port}"
      say_where(address)
      say_house(port) if @house
      puts "\nCrisp Lantern is at #{address}\nStop it with Ctrl-C."
    end

    # To a second start in this folder.
    def say_where(address)
      @lock.rewind
      return if @lock.read == address
      @lock.truncate(0)
      @lock.rewind
      @lock.write(address)
      @lock.flush
    rescue Errno::ENOSPC
      # On a full disk it says that one runs, and not where.
      nil
    end

    def say_house(port)
      puts "  It is open to this house, and asks who comes in to sign in.\n" \
        "  The first account is made on this machine, at http://127.0.0.1:#{port}"
      return unless (tls = App.settings.tls)
      names = [own_address, *TLS::HouseCertificate.names.grep(/\.local\z/)]
      settings = "  It finds how by “Pair a device” in the settings."
      puts "  A device that trusts it opens it with this machine off too: #{names.map { "https://#{_1}:#{tls[:port]}" }
        .join(" or ")}\n#{settings} The authority is #{tls[:certificate].fingerprint}"
    end

    # Where it is found: on every address of this machine, by the one that the house knows.
    def own_address
      return @hosts.first unless @hosts.first == "0.0.0.0"
      Socket.ip_address_list.find(&:ipv4_private?)&.ip_address || "127.0.0.1"
    end

    # The application, behind its door where it is open to the house.
    def behind(store)
      return Compression.new(App.without_sign_in.new) unless @house
      App.set :house_address, own_address
      secret = @secret || Auth.secret(@var)
      HTTP::BodyLimit.policy = Auth.body_limit(store.database, secret)
      Auth.around(store.database, secret, hsts: App.settings.tls.nil?) { |app| Compression.new(app.new) }
    end

    def configuration(port, store, pool)
      hosts, log, app = @hosts.select { open?(_1, port) }, request_log, behind(store)
      proxies = @proxies
      Puma::Configuration.new(pool_shutdown_grace_time: TO_BREAK_OFF) do |puma|
        hosts.each { puma.bind "tcp://#{bracketed(_1)}:#{port}" }
        bind_tls(puma, hosts)
        puma.threads(*THREADS)
        several(puma, store, pool)
        puma.force_shutdown_after TO_FINISH
        puma.first_data_timeout TO_ARRIVE
        puma.persistent_timeout TO_ARRIVE
        guarded = RequestGuard.new(app, log:, moved: Contract.of(App::CONTRACT).moved)
        puma.app HTTP::ForwardedHeaders.new(guarded, proxies:)
        puma.environment "production"
        puma.log_requests false
        puma.lowlevel_error_handler { |_, _, status| refused_unread(status) }
      end
    end

    def bind_tls(puma, hosts)
      tls = App.settings.tls or return
      house = tls[:certificate]
      hosts.each {
        puma.ssl_bind(bracketed(_1), tls[:port], cert: house.certificate_path, key: house.key_path,
          no_tlsv1: true, no_tlsv1_1: true)
      }
    end

    # As an address of IPv6 stands in another one.
    def bracketed(host) = host.include?(":") ? "[#{host}]" : host

    # What was broken off when it stopped is nobody's fault.
    App.error(Puma::ThreadPool::ForceShutdown) { halt 503 }

    # What Puma refuses before the application sees it.
    def refused_unread(status)
      says = (status == 413) ? "This is more than may be sent before signing in. Nothing was changed." :
        "This request cannot be read."
      Problem.response(status, says)
    end

    # What processes do not share: connections, workers, and what each last saw of the database.
    def several(puma, store, pool)
      return puma.workers(0) if @processes == 1
      puma.workers @processes
      puma.worker_shutdown_timeout TO_GO
      puma.preload_app!
      puma.before_fork {
        store.database.disconnect
        pool.stop
      }
      puma.before_worker_boot {
        @lock.close
        monitor_database(store)
      }
      puma.before_worker_shutdown { pool.stop }
    end

    def request_log
      FileUtils.mkdir_p(File.join(@var, "log"))
      Logger.new(File.join(@var, "log/requests.log"), LOGS, LOG_BYTES)
    end

    # The port asked for, or the next one that nobody listens on.
    def open_port(wanted) = (wanted..wanted + 50).find { open?(@hosts.first, _1) } || 0

    def open?(host, port)
      TCPServer.open(host, port).close || true
    rescue SystemCallError
      false
    end

    # Each process knows of itself whether the database answers it.
    # @yieldparam there [Boolean]
    # @yieldparam since [Float] seconds
    def monitor_database(store)
      HealthCheck.new(store.database).start do |there, since|
        App.set :database_there, there
        yield there, since if block_given?
      end
    end

    # A database that dies is started again; the store finds it by itself.
    def watch(database, store)
      monitor_database(store) do |there, since|
        App.settings.disk_reserve&.keep
        database.start if !there && (!database.alive? || since > HANGS)
      rescue PrivateDatabase::Failed => error
        warn error.message
      end
    end

    # The day's backups, and what is old enough to go; of several processes, by one.
    def maintain(store)
      Thread.new do
        loop do
          if Lease.new(store.database, "looking after").take(LOOKED_AFTER)
            daily(store) unless @outside
            store.tidy
            Auth::AttemptStore.new(store.database).tidy
          end
          sleep HOUR
        rescue => error
          # The next hour may be a better one.
          warn "#{error.class}: #{error.message}"
          sleep HOUR
        end
      end
    end

    # One of every workshop; whoever looks after a database elsewhere backs it up there.
    def daily(store)
      Tenancy::Workshops.new(store.database).all.each do |workshop|
        backups = store.of(workshop).backups
        backups.daily
        warn "The daily backup of workshop #{workshop} failed: #{backups.failed}." if backups.failed
      end
    end
  end
end

Server::Boot.new(ASKED, **%i[empty house].to_h { [_1, ARGV.include?("--#{_1}")] }).run if $PROGRAM_NAME == __FILE__
