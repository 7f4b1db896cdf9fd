// The runbook at the rack: ticks wait here while there is no line and are sent when it is back; arrows move the play head of a rehearsal.
(() => {
  "use strict";
  const key = "yuntak-waiting-ticks";
  // Other tabs keep ticks in the same place: what is there is read before anything is added or taken away. A private window may refuse; what waits is then only on this page.
  let waiting = [];
  const read = () => { try { waiting = JSON.parse(localStorage.getItem(key)) ?? []; } catch { /* as it is on this page */ } };
  const write = () => { try { localStorage.setItem(key, JSON.stringify(waiting)); } catch { /* as above */ } };
  read();
  let sending = false;
  let said = "";
  let clashes = [];
  let again = 0;
  // A line that is back is not always one that carries already: tried again soon, and then ever less often.
  const soonest = 2000, latest = 60000;
  let pause = soonest;

  const stepOf = form => form.elements.step?.value;
  const formOf = (root, step) => [...root.querySelectorAll("form.tick-form")].find(f => stepOf(f) === step);

  const say = text => {
    said = text;
    const line = document.getElementById("offline");
    if (!line) return;
    line.hidden = !text;
    line.replaceChildren(text);
    if (text && waiting.length) {
      const send = document.createElement("button");
      send.type = "button";
      send.className = "fix";
      send.textContent = "Send them now";
      send.addEventListener("click", sendAll);
      line.append(" ", send);
    }
  };

  const count = () => waiting.length === 1 ? "1 tick waits here for the line." : `${waiting.length} ticks wait here for the line.`;

  // What waits looks ticked, and the next step of the same work can be ticked too.
  const mark = () => {
    for (const { step } of waiting) {
      const item = formOf(document, step)?.closest(".step");
      if (!item) continue;
      item.classList.add("waits");
      const box = item.querySelector(".tick-box");
      box.disabled = true;
      box.firstElementChild.textContent = "…";
      const next = item.nextElementSibling?.querySelector(".tick-box");
      if (next && !next.closest(".step").classList.contains("waits") && !next.closest(".step").classList.contains("done")) next.disabled = false;
    }
    say(waiting.length ? count() : "");
  };

  const keep = form => {
    const step = stepOf(form);
    read();
    if (!waiting.some(t => t.step === step)) {
      waiting.push({ step, took: document.querySelector(`[form="${CSS.escape(form.id)}"][name=took]`)?.value ?? "", words: form.closest(".step")?.querySelector("summary")?.textContent.trim() ?? "" });
      write();
    }
    mark();
  };

  const page = async (address, options) => {
    const answer = await fetch(address, options);
    if (!answer.ok) throw new Error(String(answer.status));
    return new DOMParser().parseFromString(await answer.text(), "text/html");
  };

  const renew = () => htmx.ajax("GET", location.pathname + location.search, { source: document.body, target: "#page", select: "#page", swap: "outerHTML show:none" });

  // What waited here may have been sent by another tab: then the page still shows it waiting, until it is made anew.
  const settled = () => {
    if (waiting.length || !document.querySelector(".step.waits")) return false;
    say("What waited was sent by another tab.");
    if (navigator.onLine) renew();
    return true;
  };

  // One after the other, each on what stands by then. What somebody else has done meanwhile is said, and nothing is ticked over it.
  async function sendAll() {
    if (sending || !waiting.length) return;
    sending = true;
    clearTimeout(again);
    try {
      while (waiting.length) {
        const { step, took, words } = waiting[0];
        const runbook = await page("/Runbook?part=0");
        if (!runbook.querySelector(".runbook")) return say(`${count()} You are signed out: sign in again in another window, then send them.`);
        const form = formOf(runbook, step);
        if (!form) {
          clashes.push(`${words}: no longer in the runbook, since somebody has ticked it already or the plan has changed.`);
        } else if (form.querySelector(".tick-box").disabled) {
          clashes.push(`${words}: ${form.closest(".step").classList.contains("done") ? "somebody has ticked it already" : "it waits for a step before it"}.`);
        } else {
          const sent = new FormData(form);
          if (took) sent.set("took", took);
          const status = (await page(form.getAttribute("action"), { method: "POST", body: new URLSearchParams(sent) })).querySelector("#status .refusal");
          if (status) clashes.push(`${words}: ${status.textContent.trim()}`);
        }
        read();
        waiting = waiting.filter(t => t.step !== step);
        write();
      }
      pause = soonest;
      say(clashes.length ? `Not ticked: ${clashes.join(" ")}` : "The line is back, and what waited is ticked.");
      clashes = [];
      renew();
    } catch {
      say(`${count()} The line is not back yet.`);
      again = setTimeout(sendAll, pause);
      pause = Math.min(latest, 2 * pause);
    } finally {
      sending = false;
    }
  }

  document.addEventListener("submit", event => {
    if (!event.target.matches?.("form.tick-form") || (navigator.onLine && !waiting.length)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    keep(event.target);
    if (navigator.onLine) sendAll();
  }, true);
  document.addEventListener("htmx:sendError", event => {
    if (event.target.matches?.("form.tick-form")) keep(event.target);
  });
  addEventListener("storage", event => { if (event.key === key && !sending) { read(); if (!settled()) mark(); } });
  addEventListener("online", () => { read(); if (!settled()) sendAll(); });
  addEventListener("offline", () => { if (document.getElementById("offline")) say("No line. Go on: ticks wait here until it is back."); });
  // The page made anew says again what was said last, as nobody may have read it yet; the next thing somebody does by hand clears it.
  document.addEventListener("htmx:afterSettle", () => { if (waiting.length) resume(); else if (said) say(said); });
  document.addEventListener("htmx:configRequest", event => { if (!waiting.length && event.detail.elt !== document.body) said = ""; });
  const resume = () => {
    if (!document.getElementById("offline")) return;
    mark();
    if (navigator.onLine) sendAll();
  };
  if (waiting.length) resume();

  // A photo is made small enough for a phone's line, which also leaves out what the camera wrote into it. What cannot be drawn is sent as it is and refused in words.
  const longest = 1600;
  document.addEventListener("change", async event => {
    const input = event.target;
    const file = input.matches?.("input[data-photo]") ? input.files[0] : null;
    if (!file) return;
    const button = input.form.querySelector("button");
    button.disabled = true;
    try {
      const image = await createImageBitmap(file);
      const scale = Math.min(1, longest / Math.max(image.width, image.height));
      const canvas = document.createElement("canvas");
      canvas.width = Math.max(1, Math.round(image.width * scale));
      canvas.height = Math.max(1, Math.round(image.height * scale));
      canvas.getContext("2d").drawImage(image, 0, 0, canvas.width, canvas.height);
      const small = await new Promise(done => canvas.toBlob(done, "image/jpeg", 0.85));
      if (input.files[0] !== file || !small) return;
      const list = new DataTransfer();
      list.items.add(new File([small], "photo.jpg", { type: "image/jpeg" }));
      input.files = list.files;
    } catch { /* no image: the answer says so */ } finally {
      button.disabled = false;
    }
  });

  document.addEventListener("keydown", event => {
    if (event.target.closest("input, textarea, select, dialog") || event.ctrlKey || event.metaKey || event.altKey) return;
    const rel = event.key === "ArrowRight" ? "next" : event.key === "ArrowLeft" ? "prev" : null;
    const link = rel && document.querySelector(`.play a[rel=${rel}]`);
    if (link) {
      event.preventDefault();
      link.click();
    }
  });
})();
