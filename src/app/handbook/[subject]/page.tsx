import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SubjectPage } from '@/features/handbook/SubjectPage';
import { subjectOf, subjects } from '@/features/handbook/subjects';

interface Props {
  params: Promise<{ subject: string }>;
}

export const dynamicParams = false;

export function generateStaticParams(): { subject: string }[] {
  return subjects.map(({ id }) => ({ subject: id }));
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: subjectOf((await params).subject)?.title ?? 'Handbook' };
}

export default async function Page({ params }: Props) {
  const { subject } = await params;
  if (subjectOf(subject) === undefined) notFound();
  return <SubjectPage id={subject} />;
}
