import { STAGES } from '@open-larder/core/fish';
import { z } from 'zod';

export const stage = z.enum(STAGES);
