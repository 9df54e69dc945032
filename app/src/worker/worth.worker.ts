import { serve } from './calls';
import { worthJobs } from './jobs/worth';

serve(worthJobs);
