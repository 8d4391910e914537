// The tray: three letters find a part.
export function startTray(document) {
  document.addEventListener("input", (event) => {
    if (!event.target.matches("[data-find]")) return;
    const wanted = event.target.value.trim().toLowerCase();
    let count = 0;
    for (const place of document.querySelectorAll("[data-names]")) {
      const hit = wanted.length >= 3 && place.dataset.names.includes(wanted);
      place.classList.toggle("found", hit);
      if (hit && count++ === 0) place.scrollIntoView({ block: "nearest" });
    }
    document.getElementById("found").textContent = found(wanted, count);
  });
}

export function found(wanted, count) {
  if (wanted.length < 3) return "";
  if (count === 0) return "no part of that name lies here";
  return count + (count === 1 ? " compartment" : " compartments");
}
