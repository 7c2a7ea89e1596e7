import { useEffect } from 'react';

const told = { page: '', exam: '' };

function show(): void {
  document.title = [told.page, told.exam, 'Uplandia'].filter(Boolean).join(' · ');
}

/** Names the page in the tab and for screen readers. */
export function useTitle(title: string): void {
  useEffect(() => {
    told.page = title;
    show();
  }, [title]);
}

/** Names the exam that the page is about, after the page. */
export function useTitleOf(exam: string | undefined): void {
  useEffect(() => {
    told.exam = exam ?? '';
    show();
    return () => {
      told.exam = '';
    };
  }, [exam]);
}
