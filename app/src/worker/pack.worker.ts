import { serve } from './calls';
import { packJobs } from './jobs/pack';

serve(packJobs);
