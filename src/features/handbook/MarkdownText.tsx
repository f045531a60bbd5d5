import Markdown from 'react-markdown';
import remarkGfm from 'remark-gfm';

/** A text with headings, lists and tables: the method, or a lab note. */
export function MarkdownText({ markdown }: { markdown: string }) {
  return (
    <article className="max-w-[86ch] space-y-3">
      <Markdown
        remarkPlugins={[remarkGfm]}
        components={{
          h2: ({ children }) => <h2 className="mt-8 border-t border-hair pt-4">{children}</h2>,
          ul: ({ children }) => <ul className="list-disc space-y-1 ps-5">{children}</ul>,
          code: ({ children }) => <code className="text-[14px]">{children}</code>,
          table: ({ children }) => (
            <div className="overflow-x-auto" role="group" aria-label="Table" tabIndex={0}>
              <table className="w-full border-collapse [&_td]:border-t [&_td]:border-hair [&_td]:py-1.5 [&_td]:pe-4 [&_th]:py-1 [&_th]:pe-4 [&_th]:text-start [&_th]:font-normal [&_th]:text-ink2">
                {children}
              </table>
            </div>
          ),
        }}
      >
        {markdown}
      </Markdown>
    </article>
  );
}
