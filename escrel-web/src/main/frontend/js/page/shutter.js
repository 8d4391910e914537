// On a phone a picture is sent as soon as it is taken: no second press.
export function startShutter(document) {
  document.addEventListener("change", (event) => {
    const taken = event.target.closest("input[data-sends]");
    if (taken?.files.length) taken.form.requestSubmit();
  });
}
