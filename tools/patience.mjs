// A machine that is busy is no defect: a spec that waits for a server or a worker may take this long, ms.
jasmine.DEFAULT_TIMEOUT_INTERVAL = 30_000;
