// Painting the columns of a day: pressed on one, the pointer sets every column it passes over. Without it: each column is a slider.
(() => {
  "use strict";
  let painting = false;

  const paint = event => {
    const shape = document.getElementById("day-shape");
    const column = document.elementsFromPoint(event.clientX, event.clientY).map(e => e.closest?.("#day-shape .hour")).find(Boolean)
      ?? [...shape.querySelectorAll(".hour")].find(c => { const r = c.getBoundingClientRect(); return event.clientX >= r.left && event.clientX < r.right && Math.abs(event.clientY - (r.top + r.bottom) / 2) < r.height; });
    const slider = column?.querySelector("input");
    if (!slider) return;
    const box = slider.getBoundingClientRect();
    const share = 1 - (event.clientY - box.top) / box.height;
    slider.value = Math.round(Math.min(1, Math.max(0, share)) * 20) * 5;
    slider.style.setProperty("--level", slider.value + "%");
  };

  document.addEventListener("pointerdown", event => {
    if (event.button !== 0 || !event.target.closest?.("#day-shape .hour input")) return;
    painting = true;
    event.preventDefault();
    event.target.focus();
    paint(event);
  });
  document.addEventListener("pointermove", event => { if (painting) paint(event); });
  document.addEventListener("pointerup", () => {
    if (!painting) return;
    painting = false;
    document.getElementById("day-shape")?.dispatchEvent(new Event("change", { bubbles: true }));
  });
  document.addEventListener("pointercancel", () => { painting = false; });
  const fill = () => { for (const slider of document.querySelectorAll("#day-shape input")) slider.style.setProperty("--level", slider.value + "%"); };
  document.addEventListener("DOMContentLoaded", fill);
  document.addEventListener("htmx:load", fill);
  document.addEventListener("input", event => {
    if (event.target.matches?.("#day-shape input")) event.target.style.setProperty("--level", event.target.value + "%");
  });
})();
