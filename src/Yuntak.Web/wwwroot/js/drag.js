// Dragging a guest onto a board or into the tray, or a disk into a pool, with mouse, pen or finger. Without it: the buttons of the panels and the number keys.
(() => {
  "use strict";
  const Slop = 6;
  const Edge = 36;
  let drag = null;
  let justDragged = false;

  const targets = () => drag?.net ? "[data-rail], [data-ruler]" : drag?.disk ? `[data-pool-host="${CSS.escape(drag.host)}"]` : "[data-drop]";
  const targetAt = (x, y) => document.elementsFromPoint(x, y).map(e => e.closest?.(targets())).find(Boolean) ?? null;

  const showPreview = async guest => {
    const answer = await fetch(`/bench/preview/${encodeURIComponent(guest)}`).catch(() => null);
    if (!answer?.ok || drag?.guest !== guest) return;
    for (const { host, fit, text } of await answer.json()) {
      const board = document.querySelector(`.board[data-drop="${CSS.escape(host)}"]`);
      const says = board?.querySelector(".drop-says");
      if (says) {
        says.textContent = text;
        board.dataset.fit = fit;
      }
    }
  };

  const begin = event => {
    drag.started = true;
    drag.ghost = document.createElement("div");
    drag.ghost.className = "ghost";
    drag.ghost.textContent = drag.name;
    document.body.append(drag.ghost);
    document.documentElement.classList.add("dragging");
    document.body.setPointerCapture?.(event.pointerId);
    if (!drag.disk && !drag.net) showPreview(drag.guest);
  };

  const moveDisk = (disk, host, pool) => {
    const form = document.getElementById("disk-form");
    form.elements.host.value = host;
    form.elements.disk.value = disk;
    form.elements.pool.value = pool;
    form.requestSubmit();
  };

  // The address below a point of a ruler; null for prefixes too wide to be drawn to scale, and for those of IPv6.
  const addressAt = (ruler, x) => {
    const bar = [...ruler.querySelectorAll(".bed")].find(b => b.getBoundingClientRect().width > 0)?.getBoundingClientRect();
    const parts = ruler.dataset.first.split(".").map(Number);
    if (!bar || parts.length !== 4) return null;
    const at = Math.min(Number(ruler.dataset.count) - 1, Math.max(0, Math.floor((x - bar.left) / bar.width * Number(ruler.dataset.count))));
    const number = parts.reduce((sum, part) => sum * 256 + part, 0) + at;
    return [24, 16, 8, 0].map(bits => Math.floor(number / 2 ** bits) % 256).join(".");
  };

  const moveLeg = (guest, from, over, x) => {
    const form = document.getElementById("wire-form");
    const to = over.dataset.rail ?? over.dataset.ruler;
    const address = over.dataset.ruler === from ? addressAt(over, x) : null;
    if (to === from && !address) return;
    form.elements.guest.value = guest;
    form.elements.from.value = from;
    form.elements.to.value = to;
    form.elements.address.value = address ?? "";
    form.requestSubmit();
  };

  const end = () => {
    drag?.ghost?.remove();
    drag = null;
    document.documentElement.classList.remove("dragging");
    for (const board of document.querySelectorAll("[data-drop], [data-pool], [data-rail], [data-ruler]")) {
      board.classList.remove("over");
      delete board.dataset.fit;
      const says = board.querySelector(".drop-says");
      if (says) says.textContent = "";
    }
  };

  document.addEventListener("pointerdown", event => {
    if (event.button !== 0) return;
    const disk = event.target.closest?.("a.dsk");
    if (disk) {
      drag = { disk: disk.dataset.disk, host: disk.dataset.diskHost, name: disk.dataset.name, from: disk.closest("[data-pool]"), x: event.clientX, y: event.clientY, started: false };
      return;
    }
    const guest = event.target.closest?.(".gst");
    if (!guest) return;
    drag = { net: guest.dataset.network, guest: guest.dataset.guest, name: guest.dataset.name, from: guest.dataset.host ?? "", x: event.clientX, y: event.clientY, started: false };
  });

  document.addEventListener("pointermove", event => {
    if (!drag) return;
    if (!drag.started && Math.hypot(event.clientX - drag.x, event.clientY - drag.y) > Slop) begin(event);
    if (!drag.started) return;
    drag.ghost.style.transform = `translate(${event.clientX + 10}px, ${event.clientY + 10}px)`;
    const over = targetAt(event.clientX, event.clientY);
    if (drag.net) drag.ghost.textContent = `${drag.name}${over?.dataset.ruler ? ` → ${addressAt(over, event.clientX) ?? ""}` : over ? ` → ${over.dataset.rail}` : ""}`;
    // Near the window's edge the page follows, so that a board out of sight can be reached; the tray is in sight already.
    if (over?.dataset.drop !== "tray") {
      if (event.clientY > innerHeight - Edge) scrollBy(0, Edge / 3);
      else if (event.clientY < Edge) scrollBy(0, -Edge / 3);
    }
    for (const board of document.querySelectorAll(targets())) board.classList.toggle("over", board === over);
  });

  document.addEventListener("pointerup", event => {
    if (!drag?.started) {
      drag = null;
      return;
    }
    const over = targetAt(event.clientX, event.clientY);
    const { guest, from, disk, host: diskHost, net } = drag;
    end();
    justDragged = true;
    setTimeout(() => { justDragged = false; });
    if (net) {
      if (over) moveLeg(guest, net, over, event.clientX);
      return;
    }
    if (disk) {
      if (over && over !== from) moveDisk(disk, diskHost, over.dataset.pool);
      return;
    }
    const host = over?.dataset.drop === "tray" ? "" : over?.dataset.drop;
    if (over && host !== from) window.yuntakPlace(guest, host);
  });

  document.addEventListener("pointercancel", end);
  document.addEventListener("keydown", event => { if (event.key === "Escape" && drag) end(); });
  // A link that was dragged is not followed, and the browser's own dragging of links stays out of the way.
  document.addEventListener("click", event => { if (justDragged) { event.preventDefault(); event.stopPropagation(); } }, true);
  document.addEventListener("dragstart", event => { if (event.target.closest?.(".gst, .dsk")) event.preventDefault(); });
})();

// Dragging a job along the night. Without it: the times in the list below the picture.
(() => {
  "use strict";
  const Slop = 4;
  const Step = 5;
  let held = null;

  const minutes = clock => clock.split(":").reduce((sum, part) => sum * 60 + Number(part), 0);
  const clock = at => {
    const whole = ((at % 1440) + 1440) % 1440;
    return `${String(Math.floor(whole / 60)).padStart(2, "0")}:${String(whole % 60).padStart(2, "0")}`;
  };
  const released = () => {
    held?.bar.classList.remove("held");
    held?.bar.removeAttribute("transform");
    held?.says?.remove();
    held = null;
  };

  document.addEventListener("pointerdown", event => {
    const bar = event.target.closest?.("[data-night]");
    if (!bar || event.button !== 0) return;
    const svg = bar.ownerSVGElement;
    held = { bar, from: event.clientX, scale: svg.viewBox.baseVal.width / svg.getBoundingClientRect().width, to: bar.dataset.starts };
    event.preventDefault();
  });

  document.addEventListener("pointermove", event => {
    if (!held || Math.abs(event.clientX - held.from) < Slop && !held.says) return;
    const by = (event.clientX - held.from) * held.scale;
    const hours = by / Number(held.bar.dataset.hour);
    held.to = clock(Math.round((minutes(held.bar.dataset.starts) + hours * 60) / Step) * Step);
    held.bar.classList.add("held");
    held.bar.setAttribute("transform", `translate(${by} 0)`);
    held.says ??= document.body.appendChild(Object.assign(document.createElement("div"), { className: "ghost" }));
    held.says.textContent = `${held.bar.dataset.name} begins ${held.to}`;
    held.says.style.transform = `translate(${event.clientX + 12}px, ${event.clientY + 12}px)`;
  });

  document.addEventListener("pointerup", () => {
    if (!held) return;
    const { bar, to, says } = held;
    if (says && to !== bar.dataset.starts) {
      const form = document.getElementById("night-form");
      form.elements.kind.value = bar.dataset.night;
      form.elements.name.value = bar.dataset.name;
      form.elements.time.value = to;
      form.requestSubmit();
    }
    released();
  });
  document.addEventListener("pointercancel", released);
  document.addEventListener("keydown", event => { if (event.key === "Escape") released(); });
})();
