import { serve } from './calls';
import { inspectJobs } from './jobs/inspect';

serve(inspectJobs());
