import { createRouter, createWebHistory } from 'vue-router'
import FitsView from './stations/match/FitsView.vue'
import HouseView from './house/HouseView.vue'
import JobView from './stations/JobView.vue'
import ClientView from './log/ClientView.vue'
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
    { path: '/clients/:id(\\d+)', component: ClientView },
    { path: '/house', redirect: '/house/catalogue' },
    { path: '/house/:part', component: HouseView },
    { path: '/bands/:id(\\d+)/fits', component: FitsView },
    { path: '/bands/new', component: NewBand },
    { path: '/jobs/:id(\\d+)', redirect: (to) => `/jobs/${String(to.params.id)}/${pathOf.takeIn}` },
    { path: '/jobs/:id(\\d+)/:station', component: JobView },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})
