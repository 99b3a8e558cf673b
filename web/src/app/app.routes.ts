import type { Routes } from '@angular/router';
import { keepUnsaved } from './common/forms';
import { keeperOnly } from './door/keeper-only';

/** What a helper's device opens too. */
const forAll: Routes = [
  {
    path: 'today',
    title: 'Today · Gumo',
    loadComponent: () => import('./places/today/today').then((m) => m.Today),
  },
  {
    path: 'run/:id',
    title: 'At the tray · Gumo',
    data: { bare: true },
    loadComponent: () => import('./places/run/run').then((m) => m.Run),
  },
];

const forKeepers: Routes = [
  {
    path: 'today/end',
    title: 'Day’s end · Gumo',
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
    path: 'household',
    title: 'Household · Gumo',
    loadComponent: () => import('./places/household/household').then((m) => m.Household),
  },
  {
    path: 'household/day',
    title: 'The day · Gumo',
    loadComponent: () => import('./places/household/household-day').then((m) => m.HouseholdDay),
  },
  {
    path: 'household/records',
    title: 'Records · Gumo',
    loadComponent: () => import('./places/household/records').then((m) => m.Records),
  },
  {
    path: 'household/sharing',
    title: 'Sharing · Gumo',
    loadComponent: () => import('./places/household/sharing').then((m) => m.Sharing),
  },
  {
    path: 'cupboard',
    title: 'Cupboard · Gumo',
    loadComponent: () => import('./places/cupboard/cupboard').then((m) => m.Cupboard),
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
        path: 'sittings',
        loadComponent: () => import('./places/children/sittings-tab').then((m) => m.SittingsTab),
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
    loadComponent: () => import('./places/measure/measure').then((m) => m.Measure),
  },
  {
    path: 'table',
    title: 'Table · Gumo',
    loadComponent: () => import('./places/table/table').then((m) => m.Table),
  },
  {
    path: 'table/:thing',
    title: 'Table · Gumo',
    loadComponent: () => import('./places/table/table').then((m) => m.Table),
  },
  {
    path: 'print',
    title: 'Print · Gumo',
    loadComponent: () => import('./places/print/print').then((m) => m.Print),
  },
  {
    path: 'print/tray',
    title: 'Sheets to print · Gumo',
    loadComponent: () => import('./places/print/print-tray').then((m) => m.PrintTray),
  },
  {
    path: 'print/:sheet',
    title: 'Print · Gumo',
    loadComponent: () => import('./places/print/print').then((m) => m.Print),
  },
];

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'today' },
  ...forAll,
  ...forKeepers.map((route) => ({
    ...route,
    canMatch: [keeperOnly],
    canDeactivate: [keepUnsaved],
  })),
  { path: '**', redirectTo: 'today' },
];
