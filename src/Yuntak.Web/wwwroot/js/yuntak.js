// Keys, dialogs and small helps. Everything here has a way without script: links, buttons and forms do the work.
(() => {
  "use strict";
  const $ = (selector, root = document) => root.querySelector(selector);
  const $$ = (selector, root = document) => [...root.querySelectorAll(selector)];
  const typing = element => element.closest("input, textarea, select, [contenteditable]") && !element.matches("[type=radio], [type=checkbox]");

  const openDialog = id => {
    const dialog = document.getElementById(id);
    if (!dialog.open) dialog.showModal();
    $("input", dialog)?.select();
  };

  const switchTheme = () => {
    const next = document.documentElement.dataset.bsTheme === "dark" ? "light" : "dark";
    document.documentElement.dataset.bsTheme = next;
    try { localStorage.setItem("yuntak-theme", next); } catch { /* private windows may refuse; the page is switched all the same */ }
  };

  const stationStep = step => {
    const stations = $$(".route a");
    const here = stations.findIndex(a => a.classList.contains("here"));
    stations[Math.min(stations.length - 1, Math.max(0, here < 0 ? 0 : here + step))]?.click();
  };

  // Places the guest that has the focus, or whose panel is open, with the same form that dragging uses.
  const place = (guest, host) => {
    const form = document.getElementById("drag-form");
    if (!form) return;
    form.elements.guest.value = guest;
    form.elements.host.value = host;
    form.requestSubmit();
  };
  window.yuntakPlace = place;

  const chosenGuest = () => document.activeElement?.closest?.(".gst")?.dataset.guest ?? $("[data-panel]")?.dataset.panel;

  const keys = {
    "/": () => openDialog("find"),
    "?": () => openDialog("keys"),
    "[": () => stationStep(-1),
    "]": () => stationStep(1),
  };

  document.addEventListener("keydown", event => {
    if (typing(event.target) || document.querySelector("dialog[open]")) return;
    if ((event.ctrlKey || event.metaKey) && !event.altKey && ["z", "y"].includes(event.key.toLowerCase())) {
      const redo = event.key.toLowerCase() === "y" || event.shiftKey;
      event.preventDefault();
      $(redo ? "#redo" : "#undo")?.click();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (keys[event.key]) {
      event.preventDefault();
      keys[event.key]();
      return;
    }
    const guest = chosenGuest();
    if (guest && /^[0-9]$|^Delete$/.test(event.key)) {
      const host = /^[1-9]$/.test(event.key) ? $$(".board[data-drop]")[Number(event.key) - 1]?.dataset.drop : "";
      if (host !== undefined) {
        event.preventDefault();
        place(guest, host);
      }
    }
    if (event.key === "Escape") $(".panel .close")?.click();
  });

  document.addEventListener("click", event => {
    const opener = event.target.closest("[data-open]");
    if (opener) openDialog(opener.dataset.open);
    if (event.target.closest("[data-theme-switch]")) switchTheme();
    if (event.target.closest("[data-print]")) print();
    const copy = event.target.closest("[data-copy]");
    if (copy) {
      navigator.clipboard?.writeText(document.getElementById(copy.dataset.copy).textContent).then(() => { copy.textContent = "Copied"; });
    }
    // A click beside an open figure closes it; so does a click on a dialog's backdrop.
    for (const open of $$("details.fig[open]")) if (!open.contains(event.target)) open.open = false;
    if (event.target.matches?.("dialog")) event.target.close();
    if (event.target.closest("#found a")) document.getElementById("find").close();
  });

  // Escape closes an open figure and gives the focus back to its value.
  document.addEventListener("keydown", event => {
    const figure = event.key === "Escape" && document.activeElement?.closest("details.fig[open]");
    if (figure) {
      figure.open = false;
      $("summary", figure).focus();
      event.stopPropagation();
    }
  }, true);

  // Pointing at a guest lights it up on every ruler, column and list.
  const light = guest => {
    for (const lit of $$(".lit")) lit.classList.remove("lit");
    if (guest) for (const part of $$(`[data-guest="${CSS.escape(guest)}"]`)) part.classList.add("lit");
    document.documentElement.classList.toggle("lighting", Boolean(guest));
  };
  // Pointing at a tray, a device, a wire or a guest lights all that one of its claims touches.
  const touch = claims => {
    const wanted = claims.split(" ");
    for (const part of $$("[data-touches]")) part.classList.toggle("lit", part.dataset.touches.split(" ").some(claim => wanted.includes(claim)));
    document.documentElement.classList.add("lighting");
  };
  for (const [on, off] of [["pointerover", "pointerout"], ["focusin", "focusout"]]) {
    document.addEventListener(on, event => {
      const touches = event.target.closest?.("[data-touches]")?.dataset.touches;
      if (touches) touch(touches);
      else light(event.target.closest?.("[data-guest]")?.dataset.guest);
    });
    document.addEventListener(off, () => light(null));
  }

  // The working of a figure opens towards the middle of the window, so that it is never cut off.
  document.addEventListener("toggle", event => {
    if (event.target.matches?.("details.fig") && event.target.open) {
      const box = event.target.getBoundingClientRect();
      event.target.classList.toggle("opens-left", box.left > innerWidth / 2);
      event.target.classList.toggle("opens-up", box.top > innerHeight * 0.62);
    }
  }, true);

  // The find dialog: arrows walk the list, Enter goes to the first hit.
  document.getElementById("find")?.addEventListener("keydown", event => {
    const links = $$("#found a");
    const at = links.indexOf(document.activeElement);
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      const next = event.key === "ArrowDown" ? links[at + 1] : links[at - 1];
      (next ?? (event.key === "ArrowUp" ? $("#find input") : links.at(-1)))?.focus();
    } else if (event.key === "Enter" && event.target.matches("input") && links[0]) {
      event.preventDefault();
      links[0].click();
    }
  });

  // A long upload shows how far it has come.
  document.addEventListener("htmx:xhr:progress", event => {
    const bar = document.getElementById("upload-progress");
    if (!bar || !event.detail.lengthComputable || !document.getElementById("upload")?.files.length) return;
    bar.hidden = false;
    bar.value = 100 * event.detail.loaded / event.detail.total;
    document.getElementById("read").textContent = event.detail.loaded < event.detail.total ? `Sending: ${Math.round(bar.value)} %` : "Reading …";
  });

  // A thing in a drawing opens beside it, without the page jumping to its top. Links inside a drawing are not among those that htmx takes over by itself.
  document.addEventListener("click", event => {
    const link = event.target.closest("a.look");
    if (!link || event.button || event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    const to = link.getAttribute("href");
    htmx.ajax("GET", to, { source: document.body, target: "#page", select: "#page", swap: "outerHTML show:none" }).then(() => {
      history.replaceState({ htmx: true }, "", location.href);
      history.pushState({ htmx: true }, "", to);
      $(`a.look[href="${CSS.escape(to)}"]`)?.focus({ preventScroll: true });
      // On a narrow window what was opened stands below what was clicked, so it is brought into sight.
      if (matchMedia("(max-width: 900px)").matches) $("#panel")?.scrollIntoView({ block: "start" });
    });
  });

  // When the server cannot be reached, say so instead of doing nothing.
  document.addEventListener("htmx:sendError", () => {
    const status = document.getElementById("status");
    if (status) {
      status.textContent = "Yuntak does not answer. Nothing was changed by this last step; is it still running?";
      status.classList.add("refusal");
    }
  });
  document.addEventListener("htmx:responseError", event => { document.open(); document.write(event.detail.xhr.responseText); document.close(); });
})();
