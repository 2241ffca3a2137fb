// Keeps the page's ticks: a worker's timers go on at their pace when the page is in the background.
const everyMs = 100

setInterval(() => {
  postMessage(null)
}, everyMs)
