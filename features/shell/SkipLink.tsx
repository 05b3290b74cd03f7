import { createElement, type MouseEvent } from 'react';

/** The page's beginning, for who goes through it by keys: it shows while it has the focus. */
export const SkipLink = () =>
  createElement(
    'a',
    {
      href: '#main',
      className: 'skip',
      onClick: (event: MouseEvent) => {
        // The router would take the address for a place.
        event.preventDefault();
        document.getElementById('main')?.focus();
      },
    },
    'Skip to the page',
  );
