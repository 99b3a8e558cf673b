import type { Routes } from '@angular/router';
import { keepUnsaved } from './common/forms';
import { ownerOnly } from './door/owner-only';

/** What a helper's device opens too. */
const forAll: Routes = [
  {
    path: 'today',
    title: 'Today · Gumo',
    loadComponent: () => import('./places/today/today').then((m) => m.Today),
  },
  {
    path: 'today/slip',
    title: 'Day slip · Gumo',
    loadComponent: () => import('./places/today/slip').then((m) => m.Slip),
    canDeactivate: [keepUnsaved],
  },
  {
    path: 'run/:id',
    title: 'At the tray · Gumo',
    data: { bare: true },
    loadComponent: () => import('./places/run/run').then((m) => m.Run),
  },
];

const forOwners: Routes = [
  {
    path: 'today/end',
    title: 'End of day · Gumo',
    loadComponent: () => import('./places/today/day-end').then((m) => m.DayEnd),
  },
  {
    path: 'week',
    title: 'Week · Gumo',
    loadComponent: () => import('./places/week/week').then((m) => m.Week),
  },
  {
    path: 'activities',
    title: 'Activities · Gumo',
    loadComponent: () => import('./places/activities/activities').then((m) => m.Activities),
  },
  {
    path: 'activities/songs',
    title: 'Songbook · Gumo',
    loadComponent: () => import('./places/activities/songbook').then((m) => m.Songbook),
  },
  {
    path: 'activities/new',
    title: 'Your own activity · Gumo',
    loadComponent: () => import('./places/activities/own-activity').then((m) => m.OwnActivityForm),
  },
  {
    path: 'activities/:id/edit',
    title: 'Your own activity · Gumo',
    loadComponent: () => import('./places/activities/own-activity').then((m) => m.OwnActivityForm),
  },
  {
    path: 'activities/:id',
    title: 'Activity · Gumo',
    loadComponent: () => import('./places/activities/activity-page').then((m) => m.ActivityPage),
  },
  {
    path: 'settings',
    title: 'Settings · Gumo',
    loadComponent: () => import('./places/settings/preferences').then((m) => m.Preferences),
  },
  {
    path: 'settings/day',
    title: 'The day · Gumo',
    loadComponent: () => import('./places/settings/day-moments').then((m) => m.DayMoments),
  },
  {
    path: 'settings/backup',
    title: 'Backup and files · Gumo',
    loadComponent: () => import('./places/settings/records').then((m) => m.Records),
  },
  {
    path: 'settings/sharing',
    title: 'Sharing · Gumo',
    loadComponent: () => import('./places/settings/sharing').then((m) => m.Sharing),
  },
  {
    path: 'materials',
    title: 'Materials · Gumo',
    loadComponent: () => import('./places/materials/materials').then((m) => m.Materials),
  },
  {
    path: 'start',
    title: 'First hour · Gumo',
    loadComponent: () => import('./places/start/start').then((m) => m.Start),
  },
  {
    path: 'children',
    title: 'Children · Gumo',
    loadComponent: () => import('./places/children/overview').then((m) => m.Overview),
  },
  {
    path: 'children/new',
    title: 'New child · Gumo',
    loadComponent: () => import('./places/children/child-form').then((m) => m.ChildForm),
  },
  {
    path: 'children/:id/first-look',
    title: 'First look · Gumo',
    data: { bare: true },
    loadComponent: () => import('./places/children/first-look').then((m) => m.FirstLook),
  },
  {
    path: 'children/:id/edit',
    title: 'Change a child · Gumo',
    loadComponent: () => import('./places/children/child-form').then((m) => m.ChildForm),
  },
  {
    path: 'children/:id',
    title: 'Child · Gumo',
    loadComponent: () => import('./places/children/child-page').then((m) => m.ChildPage),
    children: [
      {
        path: '',
        pathMatch: 'full',
        loadComponent: () => import('./places/children/strings-tab').then((m) => m.StringsTab),
      },
      {
        path: 'sessions',
        loadComponent: () => import('./places/children/sessions-tab').then((m) => m.SessionsTab),
      },
      {
        path: 'work',
        loadComponent: () => import('./places/children/samples-tab').then((m) => m.SamplesTab),
      },
      {
        path: 'family',
        loadComponent: () => import('./places/children/family-tab').then((m) => m.FamilyTab),
      },
      {
        path: ':tab',
        loadComponent: () =>
          import('./places/children/details/details-tab').then((m) => m.DetailsTab),
      },
    ],
  },
  {
    path: 'measure',
    title: 'Measure · Gumo',
    loadComponent: () => import('./places/measure/measure').then((m) => m.Measure),
  },
  {
    path: 'measure/:tool',
    title: 'Measure · Gumo',
    data: { within: '/measure/' },
    loadComponent: () => import('./places/measure/measure').then((m) => m.Measure),
  },
  {
    path: 'manipulatives',
    title: 'Manipulatives · Gumo',
    loadComponent: () =>
      import('./places/manipulatives/manipulatives').then((m) => m.Manipulatives),
  },
  {
    path: 'manipulatives/:material',
    title: 'Manipulatives · Gumo',
    loadComponent: () =>
      import('./places/manipulatives/manipulatives').then((m) => m.Manipulatives),
  },
  {
    path: 'print',
    title: 'Print · Gumo',
    loadComponent: () => import('./places/print/gallery').then((m) => m.Gallery),
  },
  {
    path: 'print/list',
    title: 'Print list · Gumo',
    loadComponent: () => import('./places/print/print-list').then((m) => m.PrintList),
  },
  {
    path: 'print/:sheet',
    title: 'Print · Gumo',
    loadComponent: () => import('./places/print/print').then((m) => m.Print),
  },
];

/** Addresses that places had before, for bookmarks. */
const EARLIER: readonly (readonly [path: string, to: string])[] = [
  ['cupboard', '/materials'],
  ['table', '/manipulatives'],
  ['table/:material', '/manipulatives/:material'],
  ['household', '/settings'],
  ['household/day', '/settings/day'],
  ['household/records', '/settings/backup'],
  ['household/sharing', '/settings/sharing'],
  ['print/tray', '/print/list'],
];

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'today' },
  ...EARLIER.map(([path, redirectTo]) => ({ path, redirectTo, pathMatch: 'full' as const })),
  ...forAll,
  ...forOwners.map((route) => ({
    ...route,
    canMatch: [ownerOnly],
    canDeactivate: [keepUnsaved],
  })),
  { path: '**', redirectTo: 'today' },
];
