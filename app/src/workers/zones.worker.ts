import { expose } from 'comlink';
import { zonesWork } from './zonesWork';

expose(zonesWork);
