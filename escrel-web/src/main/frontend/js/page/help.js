// The keys of this view, gathered from what is on the page; and whether single keys act at all.
import { areOn, turn } from "./keys.js";

export function startHelp(document) {
  const dialog = document.getElementById("help");
  if (!dialog) return;
  const list = dialog.querySelector("dl");
  const choice = dialog.querySelector("[data-single-keys]");
  const storage = document.defaultView.localStorage;

  function fill() {
    list.replaceChildren();
    const seen = new Set();
    for (const element of document.querySelectorAll("[data-key][data-does]")) {
      if (seen.has(element.dataset.key)) continue;
      seen.add(element.dataset.key);
      const key = document.createElement("dt");
      key.textContent = element.dataset.key;
      const does = document.createElement("dd");
      does.textContent = element.dataset.does;
      list.append(key, does);
    }
  }

  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-help]")) return;
    if (dialog.open) {
      dialog.close();
      return;
    }
    fill();
    choice.checked = areOn(storage);
    dialog.showModal();
  });
  choice.addEventListener("change", () => turn(storage, document.documentElement, choice.checked));
}
