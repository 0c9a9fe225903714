# frozen_string_literal: true

RSpec.describe Lantern::Cut::Sheets do
  def cut(sheets, width:, length:, count:, on_hand: [])
    document = plan(materials: [cloth(offers: sheets, on_hand:)], layers: [layer("knotted_strips", "cloth")])
    plan = Lantern::Plan::Document.read(document)
    need = Lantern::Place::Need.pieces(material: "cloth", what: :strips, length: length.to_r, width: width.to_r, count:)
    described_class.cut(plan.materials[0],
      Lantern::Cut::Demand.gather([Lantern::Cut::Demand::Asked.new(layer: "one", need:, times: 1)], sureness: 0.9))
  end

  # Common practice: a 12 in sheet gives four 6 in squares.
  it "gets four 6 in squares from a 12 in sheet" do
    expect(cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 6, length: 6, count: 4).bought)
      .to eq(0 => 1)
    expect(cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 6, length: 6, count: 5).bought)
      .to eq(0 => 2)
  end

  # Five rows of 1 in by 12 1/8 in across 21 in leave one piece of 5 in by 8 7/8 in, not five of 1 in.
  it "leaves in one piece what is not cut apart" do
    layout = Lantern::Cut::Layout::Room
    rows = Array.new(5) { |i| layout.new(x: 12.125r, y: i.to_r, width: 8.875r, length: 1r) }
    apart = layout.new(x: 0r, y: 7r, width: 12.125r, length: 1r)
    whole = layout.new(x: 12.125r, y: 0r, width: 8.875r, length: 5r)
    expect(layout.joined([*rows.reverse, apart])).to contain_exactly(whole, apart)
    expect(layout.joined([apart, rows[0]])).to contain_exactly(apart, rows[0])
  end

  it "turns the strips whichever way gives more" do
    sheet = [{"width" => 18, "length" => 21, "price" => "1.00"}]
    # Along: 18 strips of one 12 in length; across: 21 rows of one. Twenty-one is more.
    expect(cut(sheet, width: 1, length: 12, count: 21).bought).to eq(0 => 1)
    expect(cut(sheet, width: 1, length: 20, count: 18).bought).to eq(0 => 1)
    expect(cut(sheet, width: 1, length: 20, count: 19).bought).to eq(0 => 2)
  end

  it "never cuts more from a sheet than its area holds, and uses what is on hand first" do
    each_random(60) do |random|
      width, length, count = random.rand(1..6), random.rand(4..20), random.rand(1..60)
      cutting = cut([{"width" => 20, "length" => 40, "price" => "3.10"}], width:, length:, count:,
        on_hand: [{"width" => 18, "length" => 21}])
      expect(cutting.bars.sum { |bar| bar.cuts.sum(&:count) }).to eq count
      cutting.bars.each { |bar|
        expect(bar.cuts.sum { |each| each.count * each.length } * width)
          .to be <= ((bar.source == :on_hand) ? 18 * 21 : 20 * 40)
      }
      expect(cutting.bars.map(&:source)).to eq cutting.bars.map(&:source).sort_by { (_1 == :on_hand) ? 0 : 1 }
    end
  end

  it "says what is too big for any sheet" do
    cutting = cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 1, length: 20, count: 3)
    expect(cutting.short).to eq 60
    expect(cutting.optimal).to be false
  end

  def layouts(pieces, on_hand: [], offers: [], **material)
    read = Lantern::Plan::Material.check(cloth(on_hand:, offers:, **material), units: "in")
    needs = pieces.map { |what, width, length, count, grain|
      ["one", Lantern::Place::Need.pieces(material: "cloth", what: :pieces, of: ", #{what}", length: length.to_r,
        width: width.to_r, count:, grain: grain || :any)]
    }
    described_class.cut(read, Lantern::Cut::Demand.gather(
      needs.map { |layer, need| Lantern::Cut::Demand::Asked.new(layer:, need:, times: 1) }, sureness: 0.9
    ))
  end

  # Every block lies on its sheet, clear of the edges that are lost, and no two overlap.
  def expect_clear(cutting, lost: 0)
    cutting.bars.each do |bar|
      sheet = (bar.source == :on_hand) ? cutting.material.on_hand[bar.index] : cutting.material.offers[bar.index]
      blocks = bar.cuts.map(&:block)
      blocks.each do |block|
        expect([block.x, block.y].min).to be >= lost
        expect(block.x + block.width).to be <= [sheet[:width], sheet[:end_width] || 0].max - lost
        expect(block.y + block.length).to be <= sheet[:length] - lost
      end
      blocks.combination(2) { |a, b|
        expect(a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.length <= b.y ||
        b.y + b.length <= a.y).to be true
      }
    end
  end

  # How many equal rectangles come out of a sheet when every cut goes straight through: tried at every
  # whole inch, without any of our shortcuts.
  def guillotine(width, length, wide, long, known = {})
    known[[width, length]] ||= begin
      whole = (width >= wide && length >= long || width >= long && length >= wide) ? 1 : 0
      splits = (1..width / 2).map {
        guillotine(_1, length, wide, long, known) + guillotine(width - _1, length, wide,
          long, known)
      } +
        (1..length / 2).map {
          guillotine(width, _1, wide, long, known) + guillotine(width, length - _1, wide, long,
            known)
        }
      [whole, *splits].max
    end
  end

  it "gets as many strips as an independent count, whichever way they are turned" do
    each_random(40) do |random|
      width, length = random.rand(6..22), random.rand(6..30)
      wide, long = random.rand(2..7), random.rand(3..14)
      most = guillotine(width, length, wide, long)
      next if most.zero?
      sheet = [{"width" => width, "length" => length, "price" => "1.00"}]
      exactly = layouts([["strips", wide, long, most]], offers: sheet)
      expect(exactly.bought).to eq(0 => 1)
      expect(exactly.optimal).to be true
      # One more only where a pinwheel gives it, which no cut from edge to edge can.
      more = layouts([["strips", wide, long, most + 1]], offers: sheet)
      expect(more.bought).to eq(0 => 2).or(satisfy { (most + 1) * wide * long <= width * length })
      [exactly, more].each { expect_clear(_1) }
    end
  end

  # The most equal rectangles that lie in a sheet whichever way, at whole inches: every first free inch is left free or
  # is the corner of one of them. Nothing of ours is used.
  def packed(width, length, wide, long)
    full = (1 << width) - 1
    sides = [[wide, long], [long, wide]].uniq.select { |a, b| a <= width && b <= length }
    place = lambda do |rows, at, count, best|
      at += 1 while at < width * length && (rows[at / width] >> (at % width)).odd?
      free = rows.sum { |row| (full & ~row).digits(2).sum }
      return [count, best].max if at >= width * length || count + free / (wide * long) <= best
      x, y = at % width, at / width
      sides.each do |a, b|
        strip = ((1 << a) - 1) << x
        next if x + a > width || y + b > length || rows[y, b].any? { _1 & strip != 0 }
        taken = rows.each_with_index.map { |row, i| i.between?(y, y + b - 1) ? row | strip : row }
        best = place.call(taken, at, count + 1, best)
      end
      left = rows.dup
      left[y] |= 1 << x
      place.call(left, at, count, best)
    end
    place.call(Array.new(length, 0), 0, 0, 0)
  end

  it "lays a pinwheel where no cut from edge to edge gives as many, and never more than there can be" do
    expect([guillotine(15, 15, 6, 9), packed(5, 5, 2, 3)]).to eq [3, 4]
    {[15, 15, 6, 9] => 4, [10, 10, 3, 4] => 8, [5, 5, 2, 3] => 4}.each do |(width, length, wide, long), most|
      sheet = [{"width" => width, "length" => length, "price" => "1.00"}]
      whole = layouts([["strips", wide, long, most]], offers: sheet)
      expect(whole.bought).to eq(0 => 1)
      expect_clear(whole)
    end
    squares = work(materials: [cloth(offers: [{"width" => 15, "length" => 15, "price" => "1.00"}])],
      layers: [layer("row_of", "cloth", count: 4,
        recipe: [{"material" => "cloth", "length" => 9, "width" => 6, "count" => 1}])])
    expect(squares["materials"][0].values_at("buy", "findings").flatten.map { _1["code"] || _1["count"] })
      .to eq [1, "round_a_hole"]
    won = 0
    each_random(25, seed: 3) do |random|
      width, length, wide, long = random.rand(5..9), random.rand(5..9), random.rand(2..3), random.rand(3..4)
      room = Lantern::Cut::Layout::Room.new(x: 0r, y: 0r, width: width.to_r, length: length.to_r)
      kind = Lantern::Cut::Layout::Kind.new(width: wide.to_r, length: long.to_r, grain: :any)
      most = Lantern::Cut::Layout.new(kind).most(room)
      expect(most).to be_between(guillotine(width, length, wide, long), packed(width, length, wide, long))
      won += 1 if most > guillotine(width, length, wide, long)
    end
    expect(won).to be > 0
  end

  it "keeps to the way the pattern runs" do
    sheet = [{"width" => 18, "length" => 21, "price" => "1.00"}]
    # Along the 21 in: eighteen strips of 1 by 12. Across the 18 in: twenty-one.
    expect(layouts([["strips", 1, 12, 19, :along]], offers: sheet).bought).to eq(0 => 2)
    expect(layouts([["strips", 1, 12, 21, :across]], offers: sheet).bought).to eq(0 => 1)
    expect(layouts([["strips", 1, 20, 1, :across]], offers: sheet).short).to eq 20
    expect(layouts([["strips", 1, 12, 21, :across]], offers: sheet).bars[0].cuts[0].block.turned).to be true
  end

  # Published: the rule for continuous bias strips, length = area / width.
  it "cuts on the bias by area over width" do
    sheet = [{"width" => 36, "length" => 36, "price" => "4.00"}]
    # 36 x 36 / 2 = 648 in of strip: nine of 72 in.
    expect(layouts([["binding", 2, 72, 9, :bias]], offers: sheet).bought).to eq(0 => 1)
    expect(layouts([["binding", 2, 72, 10, :bias]], offers: sheet).bought).to eq(0 => 2)
  end

  it "leaves out selvage and hem" do
    sheet = [{"width" => 12, "length" => 12, "price" => "1.00"}]
    expect(layouts([["squares", 6, 6, 4]], offers: sheet).bought).to eq(0 => 1)
    trimmed = layouts([["squares", 6, 6, 4]], offers: sheet, lost_edge: 0.5)
    expect(trimmed.bought).to eq(0 => 4)
    expect_clear(trimmed, lost: 0.5)
  end

  # A sleeve 16 in wide at the shoulder and 8 in at the cuff, 20 in long: rows of 4 in across it are 14.4,
  # 12.8, 11.2, 9.6 and 8 in wide at their narrower sides, so they hold 7, 6, 5, 4 and 4 strips 2 in wide.
  it "cuts a tapering piece row by row" do
    sleeve = [{"width" => 16, "length" => 20, "end_width" => 8}]
    cutting = layouts([["strips", 2, 4, 26, :along]], on_hand: sleeve)
    expect(cutting.short).to eq 0
    expect_clear(cutting)
    expect(layouts([["strips", 2, 4, 27, :along]], on_hand: sleeve).short).to eq 4
  end

  it "nests panels and strips on one sheet, the large ones first" do
    sheet = [{"width" => 36, "length" => 36, "price" => "4.00"}]
    cutting = layouts([["strips", 1, 30, 6], ["panel", 20, 20, 1]], offers: sheet)
    expect(cutting.bought).to eq(0 => 1)
    expect(cutting.bars[0].cuts.map(&:what).first).to eq "pieces, panel"
    expect_clear(cutting)
    each_random(40) do |random|
      pieces = Array.new(random.rand(1..4)) { |i|
        ["kind #{i}", random.rand(1..12), random.rand(2..17),
          random.rand(1..9)]
      }
      cutting = layouts(pieces, offers: [{"width" => 18, "length" => 40, "price" => "3.00"}],
        on_hand: [{"width" => 10, "length" => 22}])
      expect_clear(cutting)
      # Conservation: what is cut and what is left of a sheet is the sheet.
      cutting.bars.each { |bar|
        expect(bar.cuts.sum { _1.count * _1.length * _1.width } + bar.left *
        ((bar.source == :on_hand) ? 10 : 18)).to eq((bar.source == :on_hand) ? 220 : 720)
      }
      expect(cutting.bars.flat_map(&:cuts).group_by(&:what).transform_values { |cuts| cuts.sum(&:count) })
        .to eq(pieces.to_h { ["pieces, #{_1[0]}", _1[3]] })
      expect(cutting.bound).to be <= cutting.bought.values.sum * 30_000
    end
  end
end
