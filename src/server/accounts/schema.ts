/** All tables of the file of accounts. */
export * from './noticeTables';
export * from './userTables';
