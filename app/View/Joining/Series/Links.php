<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** The links of one series, in every form. */
final readonly class Links
{
    /**
     * @param  string|null  $host  the teacher's own address
     * @param  string|null  $short  the words of a short address that was given to it
     * @param  list<InvitationText>  $invitations  the school's clock first
     * @param  list<PersonalLink>  $personal
     * @param  list<GuestLine>  $guests
     */
    public function __construct(
        public string $address,
        public string $joinCode,
        public string $dialIn,
        public string $pin,
        public ?string $host,
        public ?string $short,
        public bool $isHidden,
        public array $invitations,
        public array $personal,
        public array $guests,
    ) {
    }

    /** How many die when all of them are replaced. */
    public function count(): int
    {
        return count($this->personal) + ($this->host === null ? 1 : 2);
    }
}
