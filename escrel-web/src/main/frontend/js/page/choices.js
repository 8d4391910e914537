// Choices that send themselves or step through a group.

/** The place a step leads to: by 0 round and round, else up to either end. */
export function stepped(at, by, count) {
  if (count === 0) return -1;
  return by === 0 ? (at + 1) % count : Math.min(count - 1, Math.max(0, at + by));
}

export function startChoices(document) {
  document.addEventListener("click", (event) => {
    const element = event.target.closest("[data-move]");
    if (!element) return;
    // of several groups that the key may step through, the one that is on the card
    const all = element.dataset.move
      .split(" ")
      .map((name) => [...document.querySelectorAll(`input[type=radio][name="${CSS.escape(name)}"]`)])
      .find((group) => group.length > 0) ?? [];
    const next = all[stepped(all.findIndex((radio) => radio.checked), Number(element.dataset.by), all.length)];
    if (!next) return;
    next.checked = true;
    next.dispatchEvent(new Event("change", { bubbles: true }));
  });
  // a chosen file is sent at once: choosing it was the act
  document.addEventListener("change", (event) => {
    if (event.target.matches("input[type=file][data-send]") && event.target.files.length) event.target.form.requestSubmit();
  });
  // of several ways to say something one is open at a time
  document.addEventListener("click", (event) => {
    const way = event.target.closest("[data-way]");
    if (!way) return;
    for (const other of document.querySelectorAll("[data-way]")) other.setAttribute("aria-pressed", String(other === way));
    for (const form of document.querySelectorAll("[data-by-way]")) form.hidden = form.dataset.byWay !== way.dataset.way;
  });
}
