// What is said to whoever works here: one place on the page that is never swapped tells it to those who listen; what the
// server refused, or that it does not answer, stands where it can be read.

/** Says something to a screen reader, once. */
export function announce(document, words) {
  const place = document.getElementById("live");
  if (place && place.textContent !== words) place.textContent = words;
}

/** How the bench stands after a step: what was said of it, how many parts are off and on, and what is at hand now. */
function standing(document) {
  const of = (css) => document.querySelector(css)?.textContent.trim() ?? "";
  const said = document.getElementById("said");
  return [said && !said.hidden ? said.textContent : "", of("#bench [data-counts]"), of("#bench .card .over"), of("#bench .card h1")].filter(Boolean).join(". ");
}

export function startWords(document) {
  function say(words) {
    const place = document.getElementById("said");
    if (place) {
      place.textContent = words;
      place.hidden = false;
    }
    announce(document, words);
  }
  document.addEventListener("htmx:afterSettle", () => announce(document, standing(document)));
  document.addEventListener("htmx:sendError", () => say("Escrel does not answer. Nothing was recorded; start it again and reload this page."));
  // whatever a step was refused for, full disk included, stands in the page's place for it
  document.addEventListener("htmx:beforeSwap", (event) => {
    const answer = event.detail.xhr;
    const page = (answer.getResponseHeader("Content-Type") || "").startsWith("text/html");
    const place = document.getElementById("trouble");
    if (answer.status < 400 || !page || !place) return;
    event.detail.shouldSwap = true;
    event.detail.isError = false;
    event.detail.target = place;
  });
  document.addEventListener("htmx:responseError", (event) => {
    const type = event.detail.xhr.getResponseHeader("Content-Type") || "";
    if (type.startsWith("text/plain")) say(event.detail.xhr.responseText);
  });
}
