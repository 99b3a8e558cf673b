/** Specs of the server wait for disks, threads and solvers, which a busy machine gives no quick turn. */
jasmine.DEFAULT_TIMEOUT_INTERVAL = 60_000;
