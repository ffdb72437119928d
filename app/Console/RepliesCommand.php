<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Registration\TakeReplies;

/**
 * Reads answers to invitations out of a mailbox on this machine (a Maildir): what was read is moved from `new` to
 * `cur`, as every program that reads one does, so that nothing is read twice and nothing is lost.
 */
final class RepliesCommand extends Command
{
    protected $signature = 'nomada:replies {folder? : a Maildir; POST_REPLIES where none is given} {--json}';

    protected $description = 'Read replies to invitations from a mailbox';

    public function handle(TakeReplies $take): int
    {
        $folder = $this->argument('folder') ?? (string) config('places.replies');
        if ($folder === '' && $this->argument('folder') === null) {
            return self::SUCCESS;
        }
        if (! is_dir("$folder/new") || ! is_dir("$folder/cur")) {
            $this->error((string) __('registration.replies.no_folder', ['folder' => $folder]));

            return self::INVALID;
        }
        $seen = ['read' => 0, 'answers' => 0, 'other' => 0];
        foreach (array_diff(scandir("$folder/new") ?: [], ['.', '..']) as $name) {
            $taken = $take->message(
                (string) file_get_contents("$folder/new/$name", false, null, 0, TakeReplies::MOST),
            );
            $seen['read']++;
            $seen[$taken === null ? 'other' : 'answers'] += $taken ?? 1;
            rename("$folder/new/$name", "$folder/cur/$name:2,S");
        }
        $this->line(
            $this->option('json')
                ? (string) json_encode($seen)
                : (string) __('registration.replies.console', $seen),
        );

        return self::SUCCESS;
    }
}
