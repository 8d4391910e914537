// What was learnt: a mark on the plan and the lines of its part in the list say the same, whichever is changed.

/** What a mark shows of its lines: all, none, or some of them are accepted. */
export function shown(ticks) {
  const on = ticks.filter((tick) => tick).length;
  return on === 0 ? "false" : on === ticks.length ? "true" : "mixed";
}

export function startLearnt(document) {
  const plans = document.querySelector("[data-learnt]");
  if (!plans) return;
  const boxes = (mark) => [...document.querySelectorAll(`[data-line-part="${CSS.escape(mark.dataset.part)}"] input[type=checkbox]`)];

  function show() {
    for (const mark of plans.querySelectorAll(".learnt-mark")) {
      mark.setAttribute("aria-checked", shown(boxes(mark).map((box) => box.checked)));
    }
  }

  function toggle(mark) {
    const all = boxes(mark);
    const on = all.every((box) => box.checked);
    for (const box of all) box.checked = !on;
    show();
  }

  plans.addEventListener("click", (event) => {
    const mark = event.target.closest(".learnt-mark");
    if (mark) toggle(mark);
  });
  plans.addEventListener("keydown", (event) => {
    const mark = event.target.closest(".learnt-mark");
    if (!mark || (event.key !== "Enter" && event.key !== " ")) return;
    event.preventDefault();
    toggle(mark);
  });
  document.addEventListener("change", show);
  show();
}
