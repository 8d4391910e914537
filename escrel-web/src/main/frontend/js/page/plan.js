// The plan and the ladder: a part is chosen by a click on it; zoom in on the part at hand, in three steps, kept while the bench is swapped.
export function startPlan(document) {
  let zoom = 1;

  // The drawing is moved as one picture while it grows, and drawn sharp when it stands: a viewBox that changes at every
  // frame would draw every tooth again.
  function showZoom() {
    const svg = document.querySelector("#bench .plan svg");
    if (!svg) return;
    if (zoom === 1) {
      svg.style.transform = "";
      return;
    }
    const [left, top, width, height] = svg.getAttribute("viewBox").split(" ").map(Number);
    const box = svg.querySelector(".s-selected")?.getBBox();
    const x = box ? (box.x + box.width / 2 - left) / width : 0.5;
    const y = box ? (box.y + box.height / 2 - top) / height : 0.5;
    const side = Math.min(svg.clientWidth, svg.clientHeight);
    svg.style.transform = `scale(${zoom}) translate(${(0.5 - x) * side}px, ${(0.5 - y) * side}px)`;
  }

  function zoomIn() {
    const svg = document.querySelector("#bench .plan svg");
    if (!svg) return;
    svg.classList.add("zooming");
    svg.addEventListener("transitionend", () => svg.classList.remove("zooming"), { once: true });
    zoom = zoom >= 4 ? 1 : zoom * 2;
    showZoom();
  }

  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-zoom]")) {
      zoomIn();
      return;
    }
    const window = document.defaultView;
    const show = (address) => window.htmx.ajax("GET", address, { target: "#bench", swap: "morph" });
    const part = event.target.closest("#bench .plan:not(.photo-plan) [data-part]");
    if (part) show(`${window.location.pathname}?part=${encodeURIComponent(part.dataset.part)}`);
    const layer = event.target.closest("[data-goes] [data-part]");
    if (layer) window.location.href = layer.closest("[data-goes]").dataset.goes + encodeURIComponent(layer.dataset.part);
    // a rung is a link; on the bench it shows its card in place. Listened for here, since listening at each of them would
    // cost half of the time a step takes to be seen
    const rung = event.target.closest("#bench a.bar");
    if (rung && !event.ctrlKey && !event.metaKey && !event.shiftKey && event.button === 0) {
      event.preventDefault();
      show(rung.href);
    }
  });
  document.addEventListener("htmx:afterSwap", showZoom);
}
