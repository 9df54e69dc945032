import { serve } from './calls';
import { meshJobs } from './jobs/mesh';

serve(meshJobs);
