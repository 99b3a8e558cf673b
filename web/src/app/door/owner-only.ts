import { inject } from '@angular/core';
import { type CanMatchFn, Router } from '@angular/router';
import { Door } from '../common/door';

/** Places of the owner: a helper is led to Today instead. */
export const ownerOnly: CanMatchFn = async () => {
  const [door, router] = [inject(Door), inject(Router)];
  await door.ready();
  return door.isOwner() || router.parseUrl('/today');
};
