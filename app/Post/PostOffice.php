<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Contracts\Mail\Mailer;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Symfony\Component\Mailer\Exception\UnexpectedResponseException;
use Throwable;

/**
 * Sends letters. Each is locked, sent and written down in one transaction; its Message-ID is made of its key, so that
 * the post office (as mail stores do) keeps one copy if a worker dies between the two.
 */
final readonly class PostOffice
{
    /** Answers by which a mail server refuses an address or a message for good (RFC 5321, 4.2.3). */
    private const FOR_GOOD = [550, 551, 553, 554];

    private const TRIES = 4;

    public function __construct(private Mailer $mailer, private LetterWriter $writer)
    {
    }

    /**
     * Whether it has gone now.
     *
     * @throws Throwable where the post office refuses; the letter keeps why
     */
    public function send(int $id): bool
    {
        try {
            return DB::transaction(function () use ($id): bool {
                $this->oneAfterTheOther($id);
                $letter = Letter::query()
                    ->whereKey($id)
                    ->whereNull('sent_at')
                    ->where('not_before', '<=', now())
                    ->lock('for update skip locked')
                    ->first();
                if ($letter === null) {
                    return false;
                }
                $mail = $this->writer->write($letter);
                if ($mail === null) {
                    $letter->update([
                        'trouble' => (string) __('places.post_untrue'),
                        'not_before' => now()->addYears(100),
                    ]);

                    return false;
                }
                $this->mailer->send($mail);
                $this->alike($letter)->update(['sent_at' => now(), 'trouble' => null]);
                $letter->update(['sent_at' => now(), 'trouble' => null]);

                return true;
            });
        } catch (Throwable $e) {
            $this->refused($id, $e);

            throw $e;
        }
    }

    /** Keeps why it was refused. What is refused for good is tried a few times, further and further apart, and left. */
    private function refused(int $id, Throwable $e): void
    {
        $isForGood = $e instanceof UnexpectedResponseException && in_array($e->getCode(), self::FOR_GOOD, true);
        $tries = (int) Letter::query()->whereKey($id)->value('tries') + 1;
        Letter::query()
            ->whereKey($id)
            ->update([
                'trouble' => mb_strimwidth($e->getMessage(), 0, 300, '…'),
                ...$isForGood
                    ? [
                        'tries' => $tries,
                        'not_before' => $tries >= self::TRIES ? now()->addYears(100) : now()->addHours(2 ** $tries),
                    ]
                    : [],
            ]);
    }

    /**
     * Anybody who registers for several sessions, or is accepted for them, reads of all of them in one letter: the
     * others that are due by now have gone with it.
     *
     * @return Builder<Letter>
     */
    private function alike(Letter $letter): Builder
    {
        $of = $letter->registration_id === null ? null : Registration::query()->find($letter->registration_id);

        return Letter::query()
            ->where(['kind' => $letter->kind, 'series_id' => $letter->series_id, 'person_id' => $letter->person_id])
            ->whereKeyNot($letter->id)
            ->whereNull('sent_at')
            ->where('not_before', '<=', now())
            ->whereIn(
                'registration_id',
                Registration::query()
                    ->where([
                        'series_id' => $of?->series_id,
                        'person_id' => $of?->person_id,
                        'state' => $of?->state,
                    ])
                    ->whereNotNull('only_day')
                    ->whereRaw('true = ?', [$of?->only_day !== null])
                    ->select('id'),
            );
    }

    /** Two workers with two letters of one kind to one person: the second finds what the first has told. */
    private function oneAfterTheOther(int $id): void
    {
        $to = Letter::query()
            ->whereKey($id)
            ->first(['kind', 'series_id', 'person_id']);
        if ($to !== null && $to->series_id !== null) {
            DB::select('select pg_advisory_xact_lock(hashtext(?))', [
                "letters {$to->kind->value} $to->series_id $to->person_id",
            ]);
        }
    }

    /**
     * Sends what is due and was left: its job is lost, or the post office was shut.
     *
     * @param  int  $idle  seconds since it was due
     * @return int how many went
     */
    public function sendLeft(int $idle): int
    {
        $n = 0;
        foreach (
            Letter::query()
                ->whereNull('sent_at')
                ->where('not_before', '<=', now()->subSeconds($idle))
                ->orderBy('id')
                ->limit(500)
                ->pluck('id') as $id
        ) {
            try {
                $n += (int) $this->send((int) $id);
            } catch (Throwable) {
                // Kept with the letter, and tried again in a minute.
            }
        }

        return $n;
    }
}
