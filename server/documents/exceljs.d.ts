declare module 'exceljs/dist/exceljs.min.js' {
  import ExcelJS from 'exceljs'

  export default ExcelJS
}
