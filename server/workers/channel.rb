# frozen_string_literal: true

module Server
  class WorkerPool
    # Values from one of our processes to another, each with its length before it.
    class Channel
      CHUNK = 65_536

      def initialize(io)
        @io = io
        @buffer = +"".b
      end

      def write(value)
        bytes = Marshal.dump(value)
        @io.write([bytes.bytesize].pack("N"), bytes)
      end

      # @param seconds [Numeric, nil] how long to wait; nil for as long as it takes
      # @return [Object, nil] the next value, or nil when it has not come whole
      # @raise [EOFError] when the other process is no more
      def read(seconds = nil)
        until whole?
          return unless @io.wait_readable(seconds)
          @buffer << @io.readpartial(CHUNK)
        end
        length = @buffer.unpack1("N")
        Marshal.load(@buffer.slice!(0, 4 + length).byteslice(4, length))
      end

      # Whether the other process is no more, when it has nothing to say.
      def ended? = !@io.wait_readable(0).nil?

      def close = @io.close

      private

      def whole? = @buffer.bytesize >= 4 && @buffer.bytesize >= 4 + @buffer.unpack1("N")
    end
  end
end
