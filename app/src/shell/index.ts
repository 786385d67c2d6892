export { LampSwitch, SettingsLink, Shell } from './Shell';
