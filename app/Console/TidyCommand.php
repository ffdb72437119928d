<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use Nomada\App\Actions\Presence\WorkOutAttendance;
use Nomada\App\Actions\Publishing\KeepMaterials;
use Nomada\App\Actions\Recording\DeleteRecordings;
use Nomada\App\Support\Retention;

/**
 * What nobody comes back for: uploads between preview and taking, ended sign-ins, links that set no password; and
 * recordings that have been kept for long enough.
 */
final class TidyCommand extends Command
{
    protected $signature = 'nomada:prune';

    /** @var list<string> the name until version 0.1.0 */
    protected $aliases = ['nomada:tidy'];

    protected $description = 'Delete expired files and records (runs nightly)';

    /** Days after which each goes. */
    private const UPLOADS = 2;

    public function handle(DeleteRecordings $recordings, KeepMaterials $materials): int
    {
        $recordings();
        $materials->tidy();
        // Rosters change for days that are over, too.
        WorkOutAttendance::dispatch();
        $path = storage_path('app/texts');
        foreach (is_dir($path) ? File::files($path) : [] as $file) {
            if ($file->getMTime() < time() - self::UPLOADS * 86400) {
                File::delete($file->getPathname());
            }
        }
        // A staged import has names and email addresses in it.
        $path = storage_path('app/imports');
        foreach (is_dir($path) ? File::directories($path) : [] as $folder) {
            if (filemtime($folder) < time() - self::UPLOADS * 86400) {
                File::deleteDirectory($folder);
            }
        }
        Retention::prune();

        return self::SUCCESS;
    }
}
