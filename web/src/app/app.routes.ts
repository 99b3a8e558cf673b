import type { Routes } from '@angular/router';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'today' },
  {
    path: 'today',
    title: 'Today · Gumo',
    loadComponent: () => import('./places/today/today').then((m) => m.Today),
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
    path: 'children/:id',
    title: 'Child · Gumo',
    loadComponent: () => import('./places/children/child-page').then((m) => m.ChildPage),
  },
  {
    path: 'children/:id/edit',
    title: 'Change a child · Gumo',
    loadComponent: () => import('./places/children/child-form').then((m) => m.ChildForm),
  },
  {
    path: 'run/:id',
    title: 'At the tray · Gumo',
    data: { bare: true },
    loadComponent: () => import('./places/run/run').then((m) => m.Run),
  },
  { path: '**', redirectTo: 'today' },
];
