# frozen_string_literal: true

# Going about by keyboard alone.
module Keys
  # What the element that has the focus is called.
  FOCUSED = <<~JS
    (() => {
      const e = document.activeElement
      if (!e || e === document.body) return ""
      const label = e.labels?.[0]?.textContent ?? ""
      return [e.getAttribute("aria-label"), label, e.textContent, e.tagName].map((s) => (s ?? "").trim())
        .find((s) => s !== "")
    })()
  JS

  def press(*keys) = keys.each { page.driver.browser.keyboard.type(_1) }

  # Presses keys on what is found, wherever it has moved to meanwhile.
  def press_on(selector, *keys)
    quiet
    find(selector).execute_script("this.focus()")
    press(*keys)
  end

  def focused = page.evaluate_script(FOCUSED).to_s

  # Presses Tab until something that is called so has the focus.
  def tab_to(name, most: 150)
    most.times do
      return if name.is_a?(Regexp) ? focused.match?(name) : focused == name
      press(:tab)
    end
    raise "#{name} was not reached with Tab; the last was #{focused}."
  end

  def choose_with_keys(name)
    tab_to(name)
    press(:enter)
  end
end

RSpec.configure { |config| config.include Keys, :browser }
