<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

/** A kind of text that a school may word itself: a letter, or what is at a destination. */
interface Wording
{
    /** What names it, in the database and in the files of words. */
    public function code(): string;

    /** @return list<string> what may be in braces in a template of this kind */
    public function placeholders(): array;

    /** @return list<string> those without which the text is of no use */
    public function needs(): array;

    /** Whether it needs a text beside its subject. */
    public function needsText(): bool;
}
