/** What stands at the door: who may sign in at this browser. */
export interface Door {
  /** Empty where the browser is not known and is told nothing. */
  readonly shop: string;
  /** An owner can sign in. */
  readonly opened: boolean;
  readonly atMachine: boolean;
  /** Null where the browser is not known here. */
  readonly tablet: string | null;
  /** Empty where the tablet is not known: nobody outside learns who works here. */
  readonly people: readonly DoorPerson[];
  readonly signedIn: { readonly id: string; readonly name: string } | null;
}

export interface DoorPerson {
  readonly id: string;
  readonly name: string;
  /** Name of the role. */
  readonly role: string;
  /** Only in the demo shop, on its own machine. */
  readonly pin?: string;
}
