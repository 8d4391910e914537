// At the bench, while hands are full: doses on the exit stone counted off on the drawn escape wheel, and seconds of a swing.

export function dosed(teeth, each, doses) {
  return Math.min(teeth, each * doses);
}

export function counted(doses, all, teeth) {
  if (doses === 0) return "none given yet";
  return doses >= all ? `${all} of ${all}: all ${teeth} teeth have had theirs` : `${doses} of ${all} given: walk it on`;
}

// What a value is against what it should be: limits and words come with the page, from the core.
export function judged(value, gauge) {
  const words = value < Number(gauge.low) ? gauge.below : value > Number(gauge.high) ? gauge.above : gauge.right;
  return `${value} ${gauge.unit}: ${words}`;
}

export function startDosing(document) {
  document.addEventListener("input", (event) => {
    const slider = event.target.closest("[data-seen]");
    if (!slider) return;
    const box = slider.closest("[data-gauge]");
    const value = Number(slider.value);
    box.querySelector("[data-tooth-in]")?.setAttribute("transform", `translate(0 ${(64 * value) / 100})`);
    const needle = box.querySelector("[data-needle]");
    needle?.setAttribute("transform", `rotate(${Number(needle.dataset.degrees ?? 1.5) * value})`);
    box.querySelector("[data-seen-words]").textContent = judged(value, box.dataset);
    const note = document.getElementById(slider.dataset.seen);
    const others = note.value.split(", ").filter((w) => w && !w.startsWith(`${box.dataset.word} `));
    note.value = [...others, `${box.dataset.word} ${value} ${box.dataset.unit}`].join(", ");
  });
  const running = new WeakMap();
  document.addEventListener("click", (event) => {
    const dose = event.target.closest("[data-dose]");
    if (dose) {
      const box = dose.closest("[data-dosing]");
      const teeth = Number(box.dataset.teeth);
      const each = Number(box.dataset.each);
      const all = Math.ceil(teeth / each);
      const doses = Math.min(all, Number(box.dataset.doses ?? 0) + 1);
      box.dataset.doses = doses;
      const had = dosed(teeth, each, doses);
      box.querySelectorAll("[data-tooth]").forEach((tooth, i) => tooth.classList.toggle("had", i < had));
      box.querySelector("[data-dosed]").textContent = counted(doses, all, teeth);
      return;
    }
    const watch = event.target.closest("[data-stopwatch]");
    if (!watch) return;
    const words = watch.parentElement.querySelector("[data-counted]");
    if (running.has(watch)) {
      const seconds = Math.round((performance.now() - running.get(watch)) / 1000);
      running.delete(watch);
      const note = document.getElementById(watch.dataset.stopwatch);
      note.value = [note.value, `${seconds} s`].filter(Boolean).join(", ");
      words.textContent = `${seconds} s, in the note`;
    } else {
      running.set(watch, performance.now());
      words.textContent = "counting: the same key stops";
    }
  });
}
