# frozen_string_literal: true

require "glpk"

# Other ways to cut, to hold ours against. GLPK is another program by other people; brute force
# tries everything.
module Rivals
  module_function

  # The least money by GLPK, from every full pattern of every kind of stock.
  # @param stock [Array<(Integer, Integer, Integer)>] length, price, and how many there are (nil: no end)
  # @param pieces [Hash{Integer=>Integer}] length and count
  # @return [Integer, nil] nil when nothing can hold everything
  def glpk(stock, pieces)
    lengths = pieces.keys.sort.reverse
    patterns = stock.each_index.flat_map { |kind| full(lengths, pieces, stock[kind][0]).map { [kind, _1] } }
    return if patterns.empty?
    rows = lengths.map { |length|
      [pieces[length], Float::INFINITY,
        patterns.map { |_, taken| taken[lengths.index(length)] }]
    } +
      stock.each_index.select { stock[_1][2] }
        .map { |kind| [0, stock[kind][2], patterns.map { |each, _| (each == kind) ? 1 : 0 }] }
    row_of, column_of, value = [], [], []
    rows.each_with_index do |(_, _, row), r|
      row.each_with_index { |number, c|
        unless number.zero?
          (row_of << r + 1
           column_of << c + 1
           value << number.to_f)
        end
      }
    end
    problem = Glpk.load_problem(obj_dir: :minimize, obj_coef: patterns.map { |kind, _| stock[kind][1].to_f },
      mat_ia: row_of, mat_ja: column_of, mat_ar: value,
      row_lower: rows.map { _1[0].to_f }, row_upper: rows.map { _1[1].to_f }, col_lower: [0.0] * patterns.size,
      col_upper: [pieces.values.sum.to_f] * patterns.size, col_kind: [:integer] * patterns.size)
    answer = problem.solve(message_level: 0)
    answer[:obj_val].round if answer[:status] == :optimal
  ensure
    # Given back at once: GLPK lets only the thread that made it do so, and the collector runs on any.
    problem&.free
  end

  # Every way to fill a length so that nothing more fits.
  def full(lengths, pieces, room, index = 0, taken = [])
    if index == lengths.size
      return (taken.sum.positive? &&
        lengths.each_with_index.none? { |length, i| length <= room && taken[i] < pieces[length] }) ? [taken] : []
    end
    [room / lengths[index], pieces[lengths[index]]].min.downto(0)
      .flat_map { |count| full(lengths, pieces, room - count * lengths[index], index + 1, taken + [count]) }
  end

  # The fewest lengths that hold these pieces, by trying every place for every piece.
  def fewest_bins(pieces, room)
    (1..pieces.size).find { |count| places?(pieces.sort.reverse, [room] * count) }
  end

  def places?(pieces, rooms)
    return true if pieces.empty?
    first, *others = pieces
    rooms.each_with_index.uniq { |room, _| room }
      .any? { |room, i| room >= first && places?(others, rooms.dup.tap { _1[i] -= first }) }
  end

  # First-fit decreasing, the rule of thumb to beat.
  def first_fit_decreasing(pieces, room)
    pieces.sort.reverse.each_with_object([]) do |piece, rooms|
      place = rooms.index { _1 >= piece }
      place ? rooms[place] -= piece : rooms << room - piece
    end.size
  end
end
