export {
  exportedTable,
  MAX_COLUMNS,
  MAX_LETTERS,
  MAX_LINES,
  tableImport,
  tableName,
  tableReport,
  type CellState,
  type TableLine,
  type TableName,
  type TableReport,
} from './schemas';
export { blank, type Cell, type Reader } from './cell';
export { readSheet, writeSheet, type Sheet, type SheetLine, type Writing } from './sheet';
