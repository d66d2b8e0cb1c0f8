/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is asking; `null` when nobody is signed in, absent before somebody looked. */
    session?: import('./server/auth/session').Session | null;
  }
}
