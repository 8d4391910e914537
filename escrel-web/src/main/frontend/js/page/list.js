// Arrows walk through what was found, and back to the field.
export function startList(document) {
  document.addEventListener("keydown", (event) => {
    const list = document.querySelector("[data-arrows]");
    const here = document.activeElement;
    if (!list || here?.matches("select") || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
    const links = [...list.querySelectorAll("tbody td:first-child a")];
    const next = links.indexOf(here) + (event.key === "ArrowDown" ? 1 : -1);
    if (next < -1) return;
    event.preventDefault();
    (next < 0 ? document.getElementById("wanted") : links[Math.min(next, links.length - 1)])?.focus();
  });
}
