import { expose } from 'comlink';
import { weekWork } from './weekWork';

expose(weekWork);
