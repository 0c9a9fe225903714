# frozen_string_literal: true

require_relative "puma_client"

module Server
  # Puma (8.0) keeps a buffer for answers with every connection, and a thread that is done with one empties it once
  # more, when another thread may already be writing the head of the next answer into it: then that answer arrives
  # without its first lines, once in some thousands. A buffer for each thread is emptied by nobody else; an answer is
  # written by one thread from its first line to its last.
  module ThreadBuffers
    NAME = :lantern_buffer
    private_constant :NAME

    def io_buffer
      Thread.current.thread_variable_get(NAME) ||
        Puma::IOBuffer.new.tap { Thread.current.thread_variable_set(NAME, _1) }
    end
  end
end

Server::PumaClient.change(Server::ThreadBuffers)
