// A photograph in the plan's place: a click pins the part on the card, a drag moves a pin; and where the plate lies in it.
export function startPhotoPlan(document) {
  let dragged = null;

  function place(svg, event) {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    const radius = Number(svg.dataset.radius);
    return { x: point.x / radius, y: point.y / radius };
  }

  document.addEventListener("pointerdown", (event) => {
    const pin = event.target.closest("[data-pins] .pin");
    if (pin) dragged = pin.dataset.part;
  });

  document.addEventListener("pointerup", (event) => {
    const svg = event.target.closest("[data-pins]");
    const form = document.getElementById("pin-form");
    if (svg && form) {
      const at = place(svg, event);
      if (dragged) form.elements.part.value = dragged;
      form.elements.x.value = at.x;
      form.elements.y.value = at.y;
      if (form.elements.part.value) document.getElementById("pin-send").click();
    }
    dragged = null;
  });

  document.addEventListener("input", (event) => {
    const form = event.target.closest("[data-plate]");
    if (!form) return;
    const circle = form.querySelector("circle");
    circle.setAttribute("cx", form.elements.centreX.value * 1000);
    circle.setAttribute("cy", form.elements.centreY.value * 1000);
    circle.setAttribute("r", form.elements.radius.value * 1000);
  });
}
