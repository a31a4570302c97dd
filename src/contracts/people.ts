import { Type } from '@sinclair/typebox';
import { RIGHTS, ROLES, type Right, type Role } from '@/core/people';
import { Name } from './name';

const strict = { additionalProperties: false } as const;
const Id = Type.String({ minLength: 1, maxLength: 60 });
const RoleName = Type.Unsafe<Role>({ type: 'string', enum: ROLES.map(({ id }) => id) });
/** What it may be is said by core (`secretFault`), with what is possible. */
const Secret = Type.String({ maxLength: 200 });

export const SignIn = Type.Object({ personId: Id, secret: Secret }, strict);

/** A browser is made known: by a code the owner was shown, or by an owner at the machine itself. */
export const Pair = Type.Union([
  Type.Object({ code: Type.String({ minLength: 1, maxLength: 40 }), name: Name(60) }, strict),
  Type.Object({ personId: Id, secret: Secret, name: Name(60) }, strict),
]);

/** The first owner who can sign in: one of those written down, or somebody new. */
export const FirstOwner = Type.Object(
  {
    person: Type.Union([Type.Object({ id: Id }, strict), Type.Object({ name: Name(60) }, strict)]),
    secret: Secret,
    tablet: Name(60),
  },
  strict,
);

export const OwnSecret = Type.Object({ old: Secret, secret: Secret }, strict);

export const NewPerson = Type.Object(
  { name: Name(60), role: RoleName, atBench: Type.Boolean(), secret: Type.Optional(Secret) },
  strict,
);
export const PersonChange = Type.Object(
  {
    name: Type.Optional(Name(60)),
    role: Type.Optional(RoleName),
    atBench: Type.Optional(Type.Boolean()),
    secret: Type.Optional(Secret),
    /** True: works here no longer. False: works here again. */
    left: Type.Optional(Type.Boolean()),
  },
  { ...strict, minProperties: 1 },
);

export const TabletChange = Type.Object({ name: Name(60) }, strict);

export const NewProgram = Type.Object(
  {
    name: Name(60),
    rights: Type.Array(Type.Unsafe<Right>({ type: 'string', enum: RIGHTS.map(({ id }) => id) }), {
      minItems: 1,
      maxItems: RIGHTS.length,
      uniqueItems: true,
    }),
  },
  strict,
);
