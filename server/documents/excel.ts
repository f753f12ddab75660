// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- routes’ types are read by the app’s project too, which does not look into this folder
/// <reference path="./exceljs.d.ts" />
// The one-file build: in the other, dependencies choose their files at run time, which the server's bundle then lacks.
import ExcelJS from 'exceljs/dist/exceljs.min.js'

export { ExcelJS }
