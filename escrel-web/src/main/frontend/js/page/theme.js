// Paper or lamp: the cookie is read by the server, so the first paint is right.
export function startTheme(document) {
  const root = document.documentElement;
  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-toggle-theme]")) return;
    root.dataset.theme = root.dataset.theme === "lamp" ? "paper" : "lamp";
    document.cookie = `theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=strict`;
  });
}
