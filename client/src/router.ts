import { createRouter, createWebHistory } from 'vue-router'
import CaliperSettings from './devices/CaliperSettings.vue'
import JobView from './stations/JobView.vue'
import LogView from './log/LogView.vue'
import NewBand from './stations/match/NewBand.vue'
import NewJob from './stations/take-in/NewJob.vue'
import StartView from './frame/StartView.vue'
import { pathOf } from './stations/stations'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: StartView },
    { path: '/take-in', component: NewJob },
    { path: '/log', component: LogView },
    { path: '/caliper', component: CaliperSettings },
    { path: '/bands/new', component: NewBand },
    { path: '/jobs/:id(\\d+)', redirect: (to) => `/jobs/${String(to.params.id)}/${pathOf.takeIn}` },
    { path: '/jobs/:id(\\d+)/:station', component: JobView },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})
