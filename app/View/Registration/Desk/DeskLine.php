<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

use Nomada\Core\Registration\Verdict;

/** One registrant who waits for a decision, beside whom the roster has for them. */
final readonly class DeskLine
{
    /**
     * @param  string  $sectionId  the sourcedId of the section that it is for
     * @param  string  $day  the one session that it is for, or empty
     * @param  string  $why  what was found, in words
     * @param  list<array{string, bool}>  $name  as typed, in pieces, each with whether the roster has it too
     * @param  string|null  $account  whose account typed, where that is not plainly the one who was found
     * @param  list<array{string, bool}>  $rosterName  empty where nobody is like this
     * @param  bool  $isSame  the addresses are one
     * @param  bool  $isSafe  it can be accepted without a look
     * @param  string|null  $to  the sourcedId of another section, whose roster has them
     */
    public function __construct(
        public int $id,
        public string $section,
        public string $sectionId,
        public string $day,
        public string $arrived,
        public Verdict $verdict,
        public string $why,
        public array $name,
        public string $address,
        public ?string $account,
        public array $rosterName,
        public string $rosterAddress,
        public bool $isSame,
        public bool $isSafe,
        public ?string $to,
        public string $toName,
    ) {
    }

    public function who(): string
    {
        return implode('', array_column($this->name, 0));
    }

    public function tone(): string
    {
        return match ($this->verdict) {
            Verdict::Certain => 'good',
            Verdict::CheckName, Verdict::CheckAddress, Verdict::AnotherSection => 'todo',
            Verdict::AnotherAccount, Verdict::Unknown => 'bad',
            Verdict::Already => 'quiet',
        };
    }
}
