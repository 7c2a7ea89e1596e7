import clsx from 'clsx';
import type { ComponentProps, ReactNode } from 'react';
import { Link } from 'react-router';

type Weight = 'main' | 'plain' | 'quiet' | 'grave';

const WEIGHTS: Record<Weight, string> = {
  main: 'btn-primary',
  plain: 'btn-outline border-base-content/50 hover:bg-base-200 hover:text-base-content',
  quiet: 'btn-ghost',
  grave: 'btn-error',
};

interface Looks {
  /** `main` once a screen: what a tired person should do next. */
  weight?: Weight;
  small?: boolean;
  children: ReactNode;
}

function look({ weight = 'plain', small }: Pick<Looks, 'weight' | 'small'>, more?: string): string {
  return clsx(
    'btn h-auto py-1.5 font-bold',
    WEIGHTS[weight],
    small ? 'btn-sm min-h-11 text-sm pointer-fine:min-h-9' : 'min-h-11 text-base',
    more,
  );
}

type ButtonProps = Looks & Omit<ComponentProps<'button'>, 'children'> & { busy?: boolean };

export function Button({ weight, small, busy, children, className, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      {...rest}
      className={look({ weight, small } as Looks, className)}
      aria-busy={busy || undefined}
      disabled={rest.disabled || busy}
    >
      {busy ? 'One moment…' : children}
    </button>
  );
}

export function ButtonLink({
  to,
  weight,
  small,
  onClick,
  children,
}: Looks & {
  to: string;
  /** Besides going there. */
  onClick?: () => void;
}) {
  return (
    <Link to={to} onClick={onClick} className={look({ weight, small } as Looks)}>
      {children}
    </Link>
  );
}
