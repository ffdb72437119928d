<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Say;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Post\Wording;
use Nomada\Core\Publishing\ShownText;

/** The words of one kind of text in one language, as they are kept or typed, and as they would read. */
final readonly class WordsPage
{
    /** Letters that did not go, at most. */
    private const STUCK = 50;

    /**
     * @param  array{string, string}  $written  the line above and the text, with what is put in
     * @param  bool  $isKept  false where the template is only looked at
     * @param  bool  $isReal  whether a section's own facts were put in
     * @param  Collection<int, Letter>  $stuck
     */
    public function __construct(
        public Wording $kind,
        public string $language,
        public Template $template,
        public array $written,
        public bool $isKept,
        public bool $isOwn,
        public bool $isReal,
        public ?Section $section,
        public Collection $stuck,
        public int $sent,
    ) {
    }

    public static function of(
        Wording $kind,
        string $language,
        ?Template $typed,
        ?Section $section,
        WordsWritten $writes,
    ): self {
        $template = $typed ?? Templates::of($kind, $language);
        $written = $section === null ? null : $writes->ofSection($template, $section, $language);

        return new self(
            $kind,
            $language,
            $template,
            $written ?? $template->write(Templates::examples($kind, $language)),
            $typed === null,
            Templates::isOwn($kind, $language),
            $written !== null,
            $section,
            Letter::query()
                ->whereNull('sent_at')
                ->whereNotNull('trouble')
                ->orderByDesc('id')
                ->limit(self::STUCK)
                ->get(),
            DB::table('emails')->whereNotNull('sent_at')->count(),
        );
    }

    /** @return array<string, list<Wording>> the kinds, by the key of what they are called together */
    public function kinds(): array
    {
        return ['showing.words_page.letters' => LetterKind::cases(), 'showing.title' => ShownText::cases()];
    }

    public function title(Wording $kind): string
    {
        return Templates::title($kind);
    }

    /** @return array<string, string> by tag, each in itself */
    public function languages(): array
    {
        $tags = Templates::languages();

        return array_combine($tags, array_map(Say::language(...), $tags));
    }

    /** @return array<string, string> where another kind or language is looked at */
    public function at(?Wording $kind = null, ?string $language = null): array
    {
        return array_filter([
            'kind' => ($kind ?? $this->kind)->code(),
            'language' => $language ?? $this->language,
            'section' => $this->section->sourced_id ?? '',
        ]);
    }

    /** What is edited, as the lock of forms names it. */
    public function subject(): string
    {
        return "letter:{$this->kind->code()}:$this->language";
    }

    /** @return array<string, string> titles of the sections that it can be looked at with, by sourcedId */
    public function sections(): array
    {
        return DB::table('sections')
            ->whereIn('id', DB::table('published_items')->select('section_id'))
            ->orderBy('title')
            ->orderBy('sourced_id')
            ->get(['sourced_id', 'title', 'year'])
            ->mapWithKeys(fn (\stdClass $s): array => [$s->sourced_id => Section::called($s->year, $s->title)])
            ->all();
    }
}
