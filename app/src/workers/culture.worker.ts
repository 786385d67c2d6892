import { expose } from 'comlink';
import { cultureWork } from './cultureWork';

expose(cultureWork);
