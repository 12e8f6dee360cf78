import { createRouter, createWebHistory } from 'vue-router'
import StartView from './shop/StartView.vue'
import { pathOf } from './job/stations'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: StartView },
    { path: '/take-in', component: () => import('./stations/take-in/NewJob.vue') },
    { path: '/counter', component: () => import('./stations/counter/CounterView.vue') },
    { path: '/own', component: () => import('./shop/OwnView.vue') },
    { path: '/log', component: () => import('./shop/LogView.vue') },
    { path: '/clients/:id(\\d+)', component: () => import('./shop/ClientView.vue') },
    { path: '/house', redirect: '/house/catalogue' },
    { path: '/house/:part', component: () => import('./shop/HouseView.vue') },
    { path: '/models/:id(\\d+)', component: () => import('./shop/ModelView.vue') },
    { path: '/bands/:id(\\d+)/fits', component: () => import('./stations/match/FitsView.vue') },
    { path: '/bands/new', component: () => import('./stations/match/NewBand.vue') },
    { path: '/jobs/:id(\\d+)', redirect: (to) => `/jobs/${String(to.params.id)}/${pathOf.takeIn}` },
    { path: '/jobs/:id(\\d+)/:station', component: () => import('./job/JobView.vue') },
    { path: '/:rest(.*)*', component: () => import('./shop/NoSuchPage.vue') },
  ],
})
