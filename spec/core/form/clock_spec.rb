# frozen_string_literal: true

RSpec.describe Lantern::Form::Clock do
  def band(name, shape, **more) = Lantern::Work.read(
    plan(form: {"base" => "wire", "shape" => name.to_s, **shape.typical.transform_keys(&:to_s)}.merge(more))
  ).form

  # A clock's face: a twelfth of a turn to the hour, from the top.
  it "finds every hour of a ring where a clock has it" do
    ring = Lantern::Work.read(plan).form
    (0..24).each do |half|
      x, y = described_class.point(ring, half / 2.0)
      angle = half * Math::PI / 12 - Math::PI / 2
      expect([x, y]).to match [be_within(0.03).of(5.5 * Math.cos(angle)), be_within(0.03).of(5.5 * Math.sin(angle))]
    end
  end

  it "lies on the band of every shape, in the direction asked for where the band goes all round" do
    Lantern::Form.shapes.each do |name, shape|
      form = band(name, shape)
      left, top, right, bottom = form.path.box
      middle = [(left + right) / 2, (top + bottom) / 2]
      [0, 3, 6, 9].each do |hour|
        along = described_class.along(form, hour)
        expect(along).to be_between(0, form.path.length)
        next unless %i[ring oval egg].include?(name)
        x, y = form.path.beside(along, 0.0)
        off = (Math.atan2(y - middle[1], x - middle[0]) - (hour * Math::PI / 6 - Math::PI / 2)) % (2 * Math::PI)
        expect([off, 2 * Math::PI - off].min).to be < 0.02
      end
    end
  end
end
