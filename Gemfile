source "https://rubygems.org"

ruby ">= 3.1"

# The core
gem "zeitwerk", "~> 2.6.18"
gem "bigdecimal", "~> 3.1"
gem "highs", "~> 0.2.6"
gem "money", "~> 6.19"

# The server
gem "sinatra", "~> 4.2"
gem "puma", "~> 8.0"
gem "sequel", "~> 5.110"
gem "trilogy", "~> 2.13"
gem "committee", "~> 5.6"
gem "rexml", "~> 3.4"
gem "csv", "~> 3.3"
gem "prawn", "~> 2.5"
gem "prawn-table", "~> 0.2.2"
gem "icalendar", "~> 2.10"
gem "rodauth", "~> 2.49" # accounts and sessions
gem "roda", "~> 3.100"
gem "bcrypt", "~> 3.1"
gem "zxcvbn", "~> 1.0" # how soon a password is guessed
gem "rack-session", "~> 2.1"
gem "rack-attack", "~> 6.8"
gem "rqrcode", "~> 2.2" # its later versions want a later Ruby
gem "ruby-vips", "~> 2.2" # pictures, made safe; with Debian's libvips
gem "sys-filesystem", "~> 1.5" # how much room a disk has

group :test do
  gem "rspec", "~> 3.13"
  gem "parallel_tests", "~> 5.3"
  gem "rack-test", "~> 2.2"
  gem "rspec-retry", "~> 0.6"
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.17"
  gem "ffi-geos", "~> 2.5" # GEOS, to check the geometry against
  gem "glpk", "~> 0.3.2" # GLPK, to check the cutting against
  gem "matrix", "~> 0.4" # to check the photo's perspective against
  gem "pdf-reader", "~> 2.12" # to read what was printed
  gem "afm", "< 1" # its later versions want a later Ruby
  gem "standard", "~> 1.57"
  gem "brakeman", "~> 7.1"
end
