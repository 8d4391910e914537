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

  // ---- nothing is lost in silence when the server cannot be reached
  document.addEventListener("htmx:sendError", () => say("Escrel does not answer. Nothing was recorded; start it again and reload this page."));
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
