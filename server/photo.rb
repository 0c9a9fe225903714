# frozen_string_literal: true

module Server
  # What a photo may be, and whether it is what it says.
  module Photo
    MOST = 6_000_000
    # A photo is what its first bytes say it is.
    BEGINNINGS = {"image/jpeg" => "\xFF\xD8\xFF".b, "image/png" => "\x89PNG\r\n".b, "image/webp" => "RIFF".b}.freeze

    module_function

    # @param type [String, nil]
    # @param bytes [String, nil]
    def picture?(type, bytes)
      BEGINNINGS.key?(type) && !bytes.nil? && bytes.bytesize <= MOST && bytes.b.start_with?(BEGINNINGS.fetch(type))
    end
  end
end
