<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Language\Phrases;
use Nomada\Core\Post\Template;

/** What is said at the destinations in one language: its phrases, and the school's templates. */
final readonly class PublishedWords
{
    /** Equal for equal templates in an equal language, and for nothing else. */
    public string $print;

    /** @param  array<string, Template>  $templates  one of every {@see ShownText}, by its code */
    public function __construct(public Phrases $phrases, private array $templates)
    {
        $this->print = hash(
            'sha256',
            (string) json_encode([
                $phrases->language,
                array_map(fn (Template $t): array => [$t->subject, $t->text], $templates),
            ]),
        );
    }

    /**
     * @param  array<string, string>  $values  by placeholder
     * @return array{string, string} subject, text
     */
    public function write(ShownText $text, array $values): array
    {
        return $this->templates[$text->value]->write($values);
    }
}
