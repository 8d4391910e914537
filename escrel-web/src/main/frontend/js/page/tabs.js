// Tabs as keyboards and screen readers expect them: one stop for all of them, arrows from one to the next.

/** Where a key leads among so many tabs; nothing where it leads nowhere. */
export function tabAfter(key, at, count) {
  if (key === "ArrowRight") return (at + 1) % count;
  if (key === "ArrowLeft") return (at + count - 1) % count;
  if (key === "Home") return 0;
  return key === "End" ? count - 1 : null;
}

export function startTabs(document) {
  function show(tab) {
    for (const other of tab.closest("[role=tablist]").querySelectorAll("[role=tab]")) {
      const chosen = other === tab;
      other.setAttribute("aria-selected", String(chosen));
      other.tabIndex = chosen ? 0 : -1;
      document.getElementById(other.getAttribute("aria-controls")).hidden = !chosen;
    }
  }
  document.addEventListener("click", (event) => {
    const tab = event.target.closest?.("[role=tab]");
    if (tab) show(tab);
  });
  document.addEventListener("keydown", (event) => {
    const tab = event.target.closest?.("[role=tab]");
    if (!tab) return;
    const all = [...tab.closest("[role=tablist]").querySelectorAll("[role=tab]")];
    const next = tabAfter(event.key, all.indexOf(tab), all.length);
    if (next === null) return;
    event.preventDefault();
    show(all[next]);
    all[next].focus();
  });
}
