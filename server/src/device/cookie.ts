const NAME = 'icy_ribbon_device';
const DAY_S = 86_400;

/** The header that signs a device in. Scripts cannot read it, and pages elsewhere cannot send it along with a write. */
export const cookieFor = (token: string, keepDays: number, isSecure: boolean): string =>
  `${NAME}=${token}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${keepDays * DAY_S}${isSecure ? '; Secure' : ''}`;

/**
 * What a request's cookies say of the device.
 *
 * @example tokenOf('a=1; icy_ribbon_device=xyz') // 'xyz'
 */
export const tokenOf = (cookies: string | undefined): string | undefined =>
  cookies
    ?.split(';')
    .map((each) => each.trim())
    .find((each) => each.startsWith(`${NAME}=`))
    ?.slice(NAME.length + 1);
