import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LineController,
  LineElement,
  LinearScale,
  PointElement,
} from 'chart.js'

// Only the parts of Chart.js that charts here are drawn with, once for the page, in the application's own hand.
Chart.register(BarController, BarElement, CategoryScale, LinearScale, LineController, LineElement, PointElement)
Chart.defaults.font.family = 'Ysabeau Office Variable'
Chart.defaults.font.size = 14
Chart.defaults.color = '#4b5854'
Chart.defaults.animation = false
