import { serve } from './calls';
import { photoJobs } from './jobs/photo';

serve(photoJobs);
