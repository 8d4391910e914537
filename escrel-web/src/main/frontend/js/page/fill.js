// A button that fills fields of its form: what is offered is taken over and may be changed before it is sent.
export function startFill(document) {
  document.addEventListener("click", (event) => {
    const button = event.target.closest("button[data-fill]");
    if (!button) return;
    for (const [name, value] of Object.entries(JSON.parse(button.dataset.fill))) {
      const field = button.form?.elements[name];
      if (field) field.value = value;
    }
  });
}
