declare global {
  namespace App {
    interface Locals {
      /** What said that the database is not there, where a page wanted it. */
      lost?: unknown;
    }
    interface Error {
      message: string;
    }
  }
}
export {};
