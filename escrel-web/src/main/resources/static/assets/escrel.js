// Keys, theme, and the few things a page does without the server. No inline script anywhere: the policy forbids it.
(() => {
  "use strict";

  const root = document.documentElement;

  // ---- theme: the cookie is read by the server, so the first paint is right
  function setTheme(theme) {
    root.dataset.theme = theme;
    document.cookie = `theme=${theme}; path=/; max-age=31536000; samesite=strict`;
  }

  // ---- keys: any element with data-key is pressed by that key while nothing is being typed
  const NAMES = { NumpadAdd: "+", NumpadSubtract: "-", NumpadMultiply: "*", NumpadDivide: "/", NumpadDecimal: "." };

  function keyOf(event) {
    if (event.code in NAMES) return NAMES[event.code];
    const digit = /^Numpad([0-9])$/.exec(event.code);
    // without number lock the pad sends arrows: its keys still mean their digits
    return digit ? digit[1] : event.key;
  }

  function typing(element) {
    return element.matches("textarea, select, input:not([type=radio]):not([type=checkbox]):not([type=file])");
  }

  function visible(element) {
    return !element.disabled && element.getClientRects().length > 0;
  }

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const target = event.target;
    if (typing(target)) {
      if (event.key === "Escape") target.blur();
      return;
    }
    if (event.key === "?") {
      toggleHelp();
      event.preventDefault();
      return;
    }
    if (event.key === "Escape") {
      closeHelp();
      return;
    }
    const key = keyOf(event);
    const found = [...document.querySelectorAll(`[data-key="${CSS.escape(key)}"]`)].find(visible);
    if (!found) return;
    event.preventDefault();
    if (event.repeat && !found.hasAttribute("data-repeats")) return;
    act(found);
  });

  function act(element) {
    if (element.dataset.focus) {
      document.getElementById(element.dataset.focus)?.focus();
    } else if (element.dataset.press) {
      press(element.dataset.press);
    } else {
      element.click();
    }
  }

  // buttons of the key line stand for controls inside the part of the page that is swapped
  function press(id) {
    document.getElementById(id)?.click();
  }

  // ---- small acts on click
  document.addEventListener("click", (event) => {
    const element = event.target.closest("[data-press], [data-move], [data-toggle-theme], [data-focus], [data-help], [data-print]");
    if (!element) return;
    if (element.dataset.press) press(element.dataset.press);
    else if (element.dataset.move) moveChoice(element.dataset.move, Number(element.dataset.by));
    else if (element.dataset.focus) document.getElementById(element.dataset.focus)?.focus();
    else if ("toggleTheme" in element.dataset) setTheme(root.dataset.theme === "lamp" ? "paper" : "lamp");
    else if ("help" in element.dataset) toggleHelp();
    else if ("print" in element.dataset) window.print();
  });

  // steps through a group of radio buttons; by 0 goes round and round
  function moveChoice(name, by) {
    const all = [...document.querySelectorAll(`input[type=radio][name="${CSS.escape(name)}"]`)];
    const at = all.findIndex((radio) => radio.checked);
    const next = by === 0 ? (at + 1) % all.length : Math.min(all.length - 1, Math.max(0, at + by));
    if (all[next]) {
      all[next].checked = true;
      all[next].dispatchEvent(new Event("change", { bubbles: true }));
    }
  }

  // ---- a chosen file is sent at once
  document.addEventListener("change", (event) => {
    if (event.target.matches("input[type=file][data-send]") && event.target.files.length) {
      event.target.form.requestSubmit();
    }
  });

  // ---- a choice that is the whole form is sent at once
  document.addEventListener("change", (event) => {
    if (event.target.matches("select[data-submit]")) event.target.form.requestSubmit();
  });

  // ---- a picture as PNG, twice the size, drawn from the same SVG
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a[data-png]");
    if (!link) return;
    event.preventDefault();
    const picture = new Image();
    picture.onload = () => {
      const canvas = document.createElement("canvas");
      canvas.width = 2 * picture.naturalWidth;
      canvas.height = 2 * picture.naturalHeight;
      canvas.getContext("2d").drawImage(picture, 0, 0, canvas.width, canvas.height);
      canvas.toBlob((blob) => {
        const save = document.createElement("a");
        save.href = URL.createObjectURL(blob);
        save.download = link.dataset.png;
        save.click();
        setTimeout(() => URL.revokeObjectURL(save.href), 10000);
      });
    };
    picture.src = link.href;
  });

  // ---- the keys of this view
  function toggleHelp() {
    const dialog = document.getElementById("help");
    if (!dialog) return;
    if (dialog.open) {
      dialog.close();
      return;
    }
    const list = dialog.querySelector("dl");
    list.replaceChildren();
    for (const element of document.querySelectorAll("[data-key][data-does]")) {
      const key = document.createElement("dt");
      key.textContent = element.dataset.key;
      const does = document.createElement("dd");
      does.textContent = element.dataset.does;
      list.append(key, does);
    }
    dialog.showModal();
  }

  function closeHelp() {
    document.getElementById("help")?.close();
  }

  // ---- after a part of the page was swapped, the rung at hand stays in sight
  function showSelected() {
    document.querySelector(".rung.selected")?.scrollIntoView({ block: "nearest" });
  }
  document.addEventListener("htmx:afterSwap", showSelected);
  document.addEventListener("DOMContentLoaded", showSelected);

  // ---- a panel's field is ready to type in
  document.addEventListener("htmx:afterSwap", () => document.getElementById("say")?.focus());

  // ---- the plan: zoom in on the part at hand, in three steps, kept while the bench is swapped
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
    // a part on the plan is chosen by a click on it
    const part = event.target.closest("#bench .plan:not(.photo-plan) [data-part]");
    if (part) window.htmx.ajax("GET", location.pathname + "?part=" + encodeURIComponent(part.dataset.part), { target: "#bench", swap: "outerHTML" });
  });
  document.addEventListener("htmx:afterSwap", showZoom);

  // ---- photo plan: a click pins the part on the card, a drag moves a pin
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

  // ---- where the plate lies in a picture
  document.addEventListener("input", (event) => {
    const form = event.target.closest("[data-plate]");
    if (!form) return;
    const circle = form.querySelector("circle");
    circle.setAttribute("cx", form.elements.centreX.value * 1000);
    circle.setAttribute("cy", form.elements.centreY.value * 1000);
    circle.setAttribute("r", form.elements.radius.value * 1000);
  });

  // ---- tables that take a pasted list: cells spread over columns and rows, arrows move
  function cellsOf(row) {
    return [...row.querySelectorAll("input")];
  }

  function addRow(body) {
    const row = body.lastElementChild.cloneNode(true);
    cellsOf(row).forEach((input) => (input.value = ""));
    body.append(row);
    return row;
  }

  document.addEventListener("paste", (event) => {
    const cell = event.target.closest?.(".grid-table input");
    const text = event.clipboardData?.getData("text") ?? "";
    if (!cell || !/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    const body = cell.closest("tbody");
    let row = cell.closest("tr");
    const column = cellsOf(row).indexOf(cell);
    for (const line of text.replace(/\r/g, "").replace(/\n$/, "").split("\n")) {
      row = row ?? addRow(body);
      line.split("\t").forEach((value, i) => {
        const target = cellsOf(row)[column + i];
        if (target) target.value = value.trim();
      });
      row = row.nextElementSibling;
    }
    if (!body.lastElementChild || cellsOf(body.lastElementChild).some((input) => input.value)) addRow(body);
  });

  document.addEventListener("keydown", (event) => {
    const cell = event.target.closest?.(".grid-table input");
    if (!cell || !["ArrowUp", "ArrowDown", "Enter"].includes(event.key)) return;
    const row = cell.closest("tr");
    const column = cellsOf(row).indexOf(cell);
    let next = event.key === "ArrowUp" ? row.previousElementSibling : row.nextElementSibling;
    if (!next && event.key !== "ArrowUp") next = addRow(row.parentElement);
    if (next) cellsOf(next)[column].focus();
    event.preventDefault();
  });

  document.addEventListener("input", (event) => {
    const row = event.target.closest?.(".grid-table tr");
    if (row && !row.nextElementSibling) addRow(row.parentElement);
  });

  // tables travel as text, a line a row
  document.addEventListener("submit", (event) => {
    for (const table of event.target.querySelectorAll("[data-table]")) {
      const lines = [...table.querySelectorAll("tbody tr")].map((row) => cellsOf(row).map((input) => input.value.replace(/[\t\n]/g, " ")).join("\t"));
      event.target.elements[table.dataset.table].value = lines.filter((line) => line.trim()).join("\n");
    }
  });

  document.addEventListener("click", (event) => {
    const tab = event.target.closest?.("[data-tab]");
    if (!tab) return;
    for (const other of document.querySelectorAll("[data-tab]")) other.setAttribute("aria-selected", String(other === tab));
    for (const sheet of document.querySelectorAll("[data-sheet]")) sheet.hidden = sheet.dataset.sheet !== tab.dataset.tab;
  });

  // ---- the tray: three letters find a part
  document.addEventListener("input", (event) => {
    if (!event.target.matches("[data-find]")) return;
    const wanted = event.target.value.trim().toLowerCase();
    let count = 0;
    for (const place of document.querySelectorAll("[data-names]")) {
      const hit = wanted.length >= 3 && place.dataset.names.includes(wanted);
      place.classList.toggle("found", hit);
      if (hit && count++ === 0) place.scrollIntoView({ block: "nearest" });
    }
    document.getElementById("found").textContent = wanted.length < 3 ? "" : count === 0 ? "no part of that name lies here" : count + (count === 1 ? " compartment" : " compartments");
  });

  // ---- arrows walk through what was found, and back to the field
  document.addEventListener("keydown", (event) => {
    const list = document.querySelector("[data-arrows]");
    const here = document.activeElement;
    if (!list || here?.matches("select") || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
    const links = [...list.querySelectorAll("tbody a")];
    const next = links.indexOf(here) + (event.key === "ArrowDown" ? 1 : -1);
    if (next < -1) return;
    event.preventDefault();
    (next < 0 ? document.getElementById("wanted") : links[Math.min(next, links.length - 1)])?.focus();
  });

  // ---- nothing is lost in silence when the server cannot be reached
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

  function say(words) {
    const place = document.getElementById("said");
    if (!place) return;
    place.textContent = words;
    place.hidden = false;
  }

  // ---- Alpine: local state only
  document.addEventListener("alpine:init", () => {
    window.Alpine.data("howRead", () => ({
      how: "recording",
      byRecording() {
        this.how = "recording";
      },
      byHand() {
        this.how = "typed";
      },
      notAtAll() {
        this.how = "none";
      },
      get recording() {
        return this.how === "recording";
      },
      get typed() {
        return this.how === "typed";
      },
      get none() {
        return this.how === "none";
      },
    }));
  });
})();
