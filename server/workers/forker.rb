# frozen_string_literal: true

# Where workers come from: everything is loaded here once, and every byte that arrives is answered by a new worker,
# its connection and its number. Ends when the application does.

require "bundler/setup"
require "socket"
require_relative "tasks"
require_relative "channel"

Server::WorkerPool::Tasks.load
connection = UNIXSocket.for_fd(3)
trap("CLD", "IGNORE")
trap("INT", "IGNORE")
GC.start
GC.compact

# One task after another, until nobody is there to answer.
def work(channel)
  # Whoever types goes first.
  Process.setpriority(Process::PRIO_PROCESS, 0, 10)
  Process.setrlimit(:AS, 3 << 30)
  loop do
    task, given = channel.read
    channel.write(Server::WorkerPool::Tasks.answer(task, given) { |progress| channel.write([:under_way, progress]) })
  end
rescue EOFError, SystemCallError
  exit!(0)
end

while connection.read(1)
  ours, theirs = UNIXSocket.pair
  worker = fork {
    connection.close
    theirs.close
    work(Server::WorkerPool::Channel.new(ours))
  }
  ours.close
  connection.send_io(theirs)
  connection.write("#{worker}\n")
  theirs.close
end
# Nobody is there any more: whoever is still at work is so for nobody.
Process.kill(:KILL, 0)
