import { stopSharedCluster } from '../support/cluster.ts';

// Ends what a run of the tests started, however it went.
const folder = process.env.FOOTSTOOL_TEST_TEMPLATES;
if (folder) await stopSharedCluster(folder);
