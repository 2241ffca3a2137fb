import { createRouter, createWebHistory } from 'vue-router'
import { useHandedOver } from '#web/shared/people/handed-over.ts'

/** The list of the shelf comes with its pictures, so that all of it is drawn at once. */
async function shelfWithPictures() {
  const [view] = await Promise.all([
    import('#web/features/shelf/ShelfView.vue'),
    import('#web/shared/figures/thumbnails/use-thumbnail.ts').then(({ readShelfPictures }) => readShelfPictures()),
  ])
  return view
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/',
      name: 'sessions',
      alias: '/sessions',
      component: () => import('#web/features/sessions/SessionsView.vue'),
      meta: { title: 'Sessions' },
    },
    {
      path: '/long-days/:id?',
      name: 'long-days',
      component: () => import('#web/features/long-days/LongDaysView.vue'),
      meta: { title: 'Long days', within: 'sessions', stays: 'long-days' },
    },
    {
      path: '/backups',
      name: 'backups',
      component: () => import('#web/features/backups/BackupsView.vue'),
      meta: { title: 'Backups', within: 'sessions' },
    },
    {
      path: '/teachers',
      name: 'teachers',
      component: () => import('#web/features/teachers/TeachersView.vue'),
      meta: { title: 'Teachers', within: 'sessions' },
    },
    {
      path: '/series/:id?',
      name: 'series',
      component: () => import('#web/features/series/SeriesView.vue'),
      meta: { title: 'Series', within: 'sessions', stays: 'series' },
    },
    {
      path: '/plan/:id',
      name: 'plan',
      components: {
        default: () => import('#web/features/plan/PlanView.vue'),
        bar: () => import('#web/features/plan/PlanBar.vue'),
        foot: () => import('#web/features/plan/PlanFoot.vue'),
      },
      meta: { title: 'Plan' },
    },
    {
      path: '/paste/:id?',
      name: 'paste',
      component: () => import('#web/features/paste/PasteView.vue'),
      meta: { title: 'Paste a plan', within: 'sessions' },
    },
    {
      path: '/sheets/:id',
      name: 'sheets',
      component: () => import('#web/features/sheets/SheetsView.vue'),
      meta: { title: 'Sheets', within: 'plan' },
    },
    {
      path: '/voice/:id',
      name: 'voice',
      component: () => import('#web/features/voice/VoiceView.vue'),
      meta: { title: 'Own voice', within: 'plan' },
    },
    {
      path: '/props/:id',
      name: 'props',
      components: {
        default: () => import('#web/features/props/PropsView.vue'),
        bar: () => import('#web/shared/session/StepsBar.vue'),
        foot: () => import('#web/features/props/PropsFoot.vue'),
      },
      meta: { title: 'Set-ups' },
    },
    {
      path: '/breath/:id',
      name: 'breath',
      components: {
        default: () => import('#web/features/breath/BreathView.vue'),
        bar: () => import('#web/shared/session/StepsBar.vue'),
        foot: () => import('#web/features/breath/BreathFoot.vue'),
      },
      meta: { title: 'Breath' },
    },
    {
      path: '/lead/:id',
      name: 'lead',
      component: () => import('#web/features/lead/LeadView.vue'),
      meta: { title: 'Lead', bare: true },
    },
    {
      path: '/journal',
      name: 'journal',
      component: () => import('#web/features/journal/JournalView.vue'),
      meta: { title: 'Journal' },
    },
    {
      path: '/journal/times',
      name: 'times',
      component: () => import('#web/features/journal/TimesView.vue'),
      meta: { title: 'Your times', within: 'journal' },
    },
    {
      path: '/journal/drift',
      name: 'drift',
      component: () => import('#web/features/journal/DriftView.vue'),
      meta: { title: 'What drifts', within: 'journal' },
    },
    {
      path: '/journal/recording',
      name: 'recording',
      component: () => import('#web/features/journal/recording/RecordingView.vue'),
      meta: { title: 'Measure a recording', within: 'journal' },
    },
    {
      path: '/journal/:id',
      name: 'led-class',
      component: () => import('#web/features/journal/LedClassView.vue'),
      meta: { title: 'A led class', within: 'journal' },
    },
    {
      path: '/shelf',
      name: 'shelf',
      component: shelfWithPictures,
      meta: { title: 'Shelf', stays: 'shelf' },
    },
    {
      path: '/shelf/new',
      name: 'own-pose-new',
      component: () => import('#web/features/shelf/OwnPoseView.vue'),
      meta: { title: 'A pose of your own' },
    },
    {
      path: '/shelf/:id/edit',
      name: 'own-pose-edit',
      component: () => import('#web/features/shelf/OwnPoseView.vue'),
      meta: { title: 'A pose of your own' },
    },
    {
      path: '/shelf/:id',
      name: 'shelf-page',
      component: () => import('#web/features/shelf/ShelfView.vue'),
      meta: { title: 'Shelf', stays: 'shelf' },
    },
    {
      path: '/people/:id?',
      name: 'people',
      component: () => import('#web/features/people/PeopleView.vue'),
      meta: { title: 'People' },
    },
    {
      path: '/own-page',
      name: 'own-page',
      component: () => import('#web/features/people/OwnPageView.vue'),
      meta: { title: 'Your page', bare: true },
    },
    {
      path: '/who/:id',
      name: 'who',
      component: () => import('#web/features/who/WhoView.vue'),
      meta: { title: 'Who takes what' },
    },
    {
      path: '/places',
      name: 'places',
      component: () => import('#web/features/places/PlacesView.vue'),
      meta: { title: 'Cupboard' },
    },
    {
      path: '/needs/:id',
      name: 'needs',
      components: {
        default: () => import('#web/features/places/NeedsView.vue'),
        bar: () => import('#web/shared/session/StepsBar.vue'),
      },
      meta: { title: 'What a class needs', within: 'places' },
    },
    {
      path: '/licences',
      name: 'licences',
      component: () => import('#web/features/licences/LicencesView.vue'),
      meta: { title: 'Licences' },
    },
    {
      path: '/cautions',
      name: 'cautions',
      component: () => import('#web/features/shelf/CautionsPage.vue'),
      meta: { title: 'About the cautions' },
    },
    { path: '/:anything(.*)*', redirect: '/' },
  ],
})

/** On a device that was handed over there is that one page, wherever somebody wants to go. */
router.beforeEach((to) => {
  const { personId } = useHandedOver()
  if (personId.value !== undefined) return to.name === 'own-page' ? true : { name: 'own-page', replace: true }
  return to.name === 'own-page' ? { name: 'people', replace: true } : true
})

router.afterEach((to) => {
  document.title = typeof to.meta['title'] === 'string' ? `${to.meta['title']} – Zovrin` : 'Zovrin'
})
