// Tables that take a pasted list: cells spread over columns and rows, arrows move, and everything travels as text.

/** A pasted list as rows of cells; nothing when it is no list. */
export function pasted(text) {
  if (!/[\t\n]/.test(text.trim())) return null;
  return text
    .replace(/\r/g, "")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t").map((cell) => cell.trim()));
}

/** Rows of cells as they are sent: a line a row, without empty rows. */
export function asText(rows) {
  return rows
    .map((row) => row.map((cell) => cell.replace(/[\t\n]/g, " ")).join("\t"))
    .filter((line) => line.trim())
    .join("\n");
}

function cellsOf(row) {
  return [...row.querySelectorAll("input")];
}

function addRow(body) {
  const row = body.lastElementChild.cloneNode(true);
  cellsOf(row).forEach((input) => (input.value = ""));
  body.append(row);
  return row;
}

export function startTables(document) {
  document.addEventListener("paste", (event) => {
    const cell = event.target.closest?.(".grid-table input");
    const rows = cell && pasted(event.clipboardData?.getData("text") ?? "");
    if (!rows) return;
    event.preventDefault();
    const body = cell.closest("tbody");
    let row = cell.closest("tr");
    const column = cellsOf(row).indexOf(cell);
    for (const values of rows) {
      row = row ?? addRow(body);
      const cells = cellsOf(row);
      values.forEach((value, i) => {
        if (cells[column + i]) cells[column + i].value = value;
      });
      row = row.nextElementSibling;
    }
    if (cellsOf(body.lastElementChild).some((input) => input.value)) addRow(body);
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

  document.addEventListener("submit", (event) => {
    for (const table of event.target.querySelectorAll("[data-table]")) {
      const rows = [...table.querySelectorAll("tbody tr")].map((row) => cellsOf(row).map((input) => input.value));
      event.target.elements[table.dataset.table].value = asText(rows);
    }
  });
}
