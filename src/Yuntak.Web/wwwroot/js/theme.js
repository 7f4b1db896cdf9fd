// Sets light or dark before anything is drawn, so that the page does not flash.
(() => {
  const stored = (() => { try { return localStorage.getItem("yuntak-theme"); } catch { return null; } })();
  const system = matchMedia("(prefers-color-scheme: dark)");
  const apply = theme => { document.documentElement.dataset.bsTheme = theme; };
  apply(stored ?? (system.matches ? "dark" : "light"));
  system.addEventListener("change", e => { if (!localStorage.getItem("yuntak-theme")) apply(e.matches ? "dark" : "light"); });
})();
