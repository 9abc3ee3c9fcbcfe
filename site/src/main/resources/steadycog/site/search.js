// Shows the passages that hold every word, those first that have them in their title.
"use strict";
const MOST = 30;
const AROUND = 90;
const wish = document.getElementById("wish");
const found = document.getElementById("found");

function line(tag, text, parent) {
  const made = document.createElement(tag);
  made.textContent = text;
  parent.append(made);
  return made;
}

function search() {
  const words = wish.value.toLowerCase().split(/\s+/).filter((word) => word !== "");
  found.hidden = words.length === 0;
  found.replaceChildren();
  if (found.hidden) {
    return;
  }
  const all = (text) => words.every((word) => text.includes(word));
  const hits = PASSAGES.filter(([, , title, text]) => all((title + " " + text).toLowerCase()));
  hits.sort((a, b) => all(b[2].toLowerCase()) - all(a[2].toLowerCase()));
  line("p", hits.length === 0 ? "Nothing about that." : hits.length + (hits.length === 1 ? " passage" : " passages"), found);
  for (const [to, page, title, text] of hits.slice(0, MOST)) {
    line("a", page === title ? title : page + ": " + title, found).href = to;
    const at = Math.max(0, text.toLowerCase().indexOf(words[0]) - AROUND);
    line("p", (at > 0 ? "… " : "") + text.slice(at, at + 2 * AROUND) + " …", found);
  }
}

wish.addEventListener("input", search);
wish.addEventListener("keydown", (event) => {
  if (event.key === "Escape") {
    wish.value = "";
    search();
  }
});
found.addEventListener("click", () => {
  wish.value = "";
  search();
});
