# frozen_string_literal: true

require "trilogy"

module Server
  class ExternalDatabase
    # The nodes of a cluster, of which one is asked until it does not answer. Each process begins with another, so that
    # none has all the work.
    class Nodes
      # Seconds to find out whether a node answers, when there are others.
      GLANCE = 1

      # @param addresses [Array<Hash>] `host` and `port`
      def initialize(addresses, first: Process.pid)
        @addresses = addresses.rotate(first)
      end

      def to_s = @addresses.sort_by { _1.values.join }.map { "#{_1[:host]}:#{_1[:port]}" }.join(", ")

      # @param options [Hash] how to connect
      # @return [Hash] the address of one that answers, or of the first where none does
      def choose(**options)
        return @addresses.first if @addresses.size == 1
        @addresses.find { answers?(_1, options) } || @addresses.first
      end

      private

      # One that has lost the others says that it is not ready.
      def answers?(address, options)
        node = Trilogy.new(**options.except(:adapter, :user, :encoding), **address, username: options[:user],
          connect_timeout: GLANCE, read_timeout: GLANCE)
        node.query("SELECT 1")
        true
      rescue Trilogy::Error, SystemCallError
        false
      ensure
        node&.close
      end
    end
  end
end
