/**
 * What runs in the book that opens in a browser: keeps ticks, readings and the note, and gives them back as a file.
 *
 * Plain script, as it stands in the page: it needs nothing else, and no server. What is kept lies in the browser where
 * that lets a file keep anything, by the boat and the revision; and in the page as long as it is open.
 */
export const PAGE_SCRIPT = `
'use strict';
(() => {
  const page = document;
  let store = null;
  // some browsers keep nothing for a file
  try { store = self.localStorage; } catch (error) { store = null; }
  const book = JSON.parse(page.getElementById('book').textContent);
  const key = 'kalotrope-book ' + book.project + ' ' + book.revision;
  const empty = { ticks: {}, readings: {}, note: '' };
  let state = empty;
  try { state = { ...empty, ...JSON.parse(store?.getItem(key) || '{}') }; } catch (error) { state = empty; }
  const today = () => {
    const now = new Date();
    const two = (n) => String(n).padStart(2, '0');
    return now.getFullYear() + '-' + two(now.getMonth() + 1) + '-' + two(now.getDate());
  };
  const given = () => JSON.stringify({
    kalotrope: 'book', version: 1, ...book, day: today(), ticks: state.ticks,
    readings: Object.entries(state.readings).flatMap(([task, steps]) =>
      Object.entries(steps).map(([step, { text, day }]) => ({ task, step, text, day }))),
    note: state.note,
  }, null, 1);
  const keep = () => {
    try { store?.setItem(key, JSON.stringify(state)); } catch (error) { /* it stays in the page */ }
    for (const task of page.querySelectorAll('[data-task]')) {
      const count = (state.ticks[task.dataset.task] || []).length;
      task.querySelector('.count').textContent = count === 0 ? '' : count + ' of ' + task.dataset.steps + ' ticked';
    }
    page.getElementById('text').value = given();
  };
  for (const row of page.querySelectorAll('[data-step]')) {
    const { task } = row.closest('[data-task]').dataset;
    const { step } = row.dataset;
    const box = row.querySelector('input[type=checkbox]');
    box.checked = (state.ticks[task] || []).includes(step);
    const tick = (isOn) => {
      const others = (state.ticks[task] || []).filter((one) => one !== step);
      state.ticks = { ...state.ticks, [task]: isOn ? [...others, step] : others };
      box.checked = isOn;
    };
    box.addEventListener('change', () => { tick(box.checked); keep(); });
    const read = row.querySelector('input[type=text]');
    if (!read) continue;
    read.value = ((state.readings[task] || {})[step] || { text: '' }).text;
    read.addEventListener('input', () => {
      const { [step]: _, ...rest } = state.readings[task] || {};
      const text = read.value.trim();
      state.readings = { ...state.readings, [task]: text === '' ? rest : { ...rest, [step]: { text, day: today() } } };
      tick(text !== '');
      keep();
    });
  }
  const note = page.getElementById('note');
  note.value = state.note;
  note.addEventListener('input', () => { state.note = note.value; keep(); });
  page.getElementById('give').addEventListener('click', () => {
    const link = page.createElement('a');
    link.href = URL.createObjectURL(new Blob([given()], { type: 'application/json' }));
    link.download = book.file;
    link.click();
  });
  for (const zoom of page.querySelectorAll('.zoom'))
    zoom.addEventListener('click', () => {
      const isLarge = zoom.parentElement.classList.toggle('large');
      zoom.textContent = isLarge ? 'Whole page' : 'Larger';
    });
  keep();
})();
`;
