# frozen_string_literal: true

require_relative "dataset"
require_relative "../auth/one_time_tokens"
require_relative "../http/problem"

module Server
  module Tenancy
    # Workshops, and who works in them: a maker changes everything, a helper counts at the bench and ticks cuts. Makers
    # let others in by links.
    class Workshops
      MAKER, HELPER = %w[maker helper].freeze
      ROLES = [MAKER, HELPER].freeze
      # How long an invitation holds.
      DAYS = 7
      # So many workshops of one account, and people in one workshop.
      MOST_OF_ONE, MOST_PEOPLE = 20, 200
      MOST_NAME = 120
      # What the one that is there from the beginning is called until somebody has it.
      UNNAMED = "This workshop"
      # What a workshop may hold: far more than one maker has made, and an end to what anybody can fill a disk with.
      MOST = {wreaths: 5_000, materials: 5_000, occasions: 500, forms: 1_000, places: 500, pictures: 2_000,
              makes: 20_000,
              upload_parts: 400}.freeze

      LastMaker = Problem.of(422, "Somebody has to be maker here: make another one maker first, or delete the " \
        "workshop.")
      TooMany = Problem.of(422, "That is as many as there may be: #{MOST_OF_ONE} workshops of one account, " \
        "#{MOST_PEOPLE} people in one workshop.")

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @return [Array<Integer>] the numbers of all of them
      def all = rows.order(:id).select_map(:id)

      # @return [Array<Hash>] `id`, `name` and `role`, the oldest first
      def of(account)
        members.where(account_id: account).join(:workshops, id: :workshop_id).order(:workshop_id)
          .select(:workshop_id, :name, :role)
          .map { {"id" => _1[:workshop_id], "name" => _1[:name], "role" => _1[:role]} }
      end

      # @return [Array<Hash>] `id`, `name` and `role` of everybody in it
      def people(workshop)
        members.where(workshop_id: workshop).join(:accounts, id: :account_id).order(:login)
          .select(:account_id, Sequel[:accounts][:name], :role)
          .map { {"id" => _1[:account_id], "name" => _1[:name], "role" => _1[:role]} }
      end

      def name(workshop) = rows.where(id: workshop).get(:name)

      # @raise [Problem]
      def rename(workshop, name) = rows.where(id: workshop).update(name: named(name))

      # Founds a workshop for somebody who makes in it.
      # @return [Integer]
      # @raise [TooMany, Problem]
      def found(account, name)
        name = named(name)
        @database.atomically do
          @database[:accounts].where(id: account).for_update.get(:id)
          raise TooMany if members.where(account_id: account).count >= MOST_OF_ONE
          rows.insert(name:).tap { members.insert(account_id: account, workshop_id: _1, role: MAKER) }
        end
      end

      # The first account makes in the workshop that is there from the beginning, which is called after it.
      def first(account, login)
        members.insert_ignore.insert(account_id: account, workshop_id: TenantDataset::FIRST, role: MAKER)
        rows.where(id: TenantDataset::FIRST, name: UNNAMED).update(name: "Workshop of #{login}"[0, MOST_NAME])
      end

      # @param workshop [Integer, nil] nil for a workshop of their own
      # @param by [Integer] the account that lets them in
      # @return [String] a token for one person
      def invite(workshop, role, by:)
        invitations.where { self.until < Sequel.lit("UTC_TIMESTAMP()") }.delete
        token = Auth::OneTimeTokens.token
        invitations.insert(digest: Auth::OneTimeTokens.digest(token), workshop_id: workshop, role:, account_id: by,
          until: Sequel.lit("UTC_TIMESTAMP() + INTERVAL #{DAYS} DAY"))
        token
      end

      # @return [Hash, nil] `workshop_id` and `role` of an invitation that holds
      def invitation(token)
        invitations.where(digest: Auth::OneTimeTokens.digest(token))
          .where { self.until >= Sequel.lit("UTC_TIMESTAMP()") }
          .select(:workshop_id, :role).first
      end

      # Lets somebody in, once: the invitation is taken first, and is back when anything that follows is refused. Who is
      # a member already stays what they are, or becomes a maker.
      # @yieldreturn [(Integer, String)] the account, and what a workshop of its own is called
      # @return [(Integer, Integer), nil] the account and the workshop; nil when the invitation does not hold
      # @raise [TooMany]
      def join(token)
        @database.atomically do
          invited = invitation(token)
          next unless invited && invitations.where(digest: Auth::OneTimeTokens.digest(token)).delete == 1
          account, name = yield
          workshop = invited[:workshop_id]
          next [account, found(account, name)] unless workshop
          # Whoever comes in beside it waits here, and is counted.
          rows.where(id: workshop).for_update.get(:id)
          raise TooMany if members.where(workshop_id: workshop).count >= MOST_PEOPLE
          role = invited[:role]
          members.on_duplicate_key_update(role: (role == MAKER) ? role : Sequel[:role])
            .insert(account_id: account, workshop_id: workshop, role:)
          [account, workshop]
        end
      end

      # @raise [LastMaker, Store::Missing]
      def change(workshop, account, role)
        @database.atomically do
          unless role == MAKER
            stay_with_a_maker(workshop, account)
            end_invitations(workshop)
          end
          raise Store::Missing if members.where(workshop_id: workshop, account_id: account).empty?
          members.where(workshop_id: workshop, account_id: account).update(role:)
        end
      end

      # @raise [LastMaker, Store::Missing]
      def remove(workshop, account)
        @database.atomically do
          stay_with_a_maker(workshop, account)
          end_invitations(workshop)
          raise Store::Missing if members.where(workshop_id: workshop, account_id: account).delete.zero?
        end
      end

      # The workshops that would be left with nobody who may change them. The first is for whoever makes the next first
      # account, when nobody else has one.
      # @return [Array<String>] their names
      def left_alone_by(account)
        mine = members.where(account_id: account, role: MAKER).select(:workshop_id)
        others = members.where(role: MAKER).exclude(account_id: account).select(:workshop_id)
        alone = rows.where(id: mine).exclude(id: others)
        alone = alone.exclude(id: TenantDataset::FIRST) if @database[:accounts].exclude(id: account).empty?
        alone.order(:id).select_map(:name)
      end

      # Deletes a workshop and everything in it, for good. The first stays, with nothing in it.
      def delete(workshop)
        own = TenantDataset.new(@database, workshop)
        own.atomically do
          (Archive::DERIVED + Archive::TABLES.reverse).each do |table|
            Archive.empty(own[table], table)
          end
          next if workshop == TenantDataset::FIRST
          rows.where(id: workshop).delete
        end
      end

      private

      def rows = @database[:workshops]

      def members = @database[:memberships]

      def invitations = @database[:invitations]

      # Whoever goes, or changes nothing any more, does not come back by a link that was still open.
      def end_invitations(workshop) = invitations.where(workshop_id: workshop).delete

      def stay_with_a_maker(workshop, account)
        makers = members.where(workshop_id: workshop, role: MAKER).order(:account_id).for_update.select_map(:account_id)
        raise LastMaker if makers == [account]
      end

      def named(said)
        name = said.to_s.strip[0, MOST_NAME]
        raise Problem.at("name", "Give the workshop a name.") if name.empty?
        name
      end
    end
  end
end
