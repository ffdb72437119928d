<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\SectionCartridge;
use Nomada\App\Support\ZipText;

final class CartridgeCommand extends Sections
{
    protected $signature = 'nomada:cartridge {--section=* : sourcedId of one section} {--to= : where the file goes}';

    protected $description = 'Export the weeks of a section as a Common Cartridge 1.3';

    public function handle(SectionCartridge $cartridge): int
    {
        $sections = $this->option('section') === [] ? null : $this->sections();
        $to = (string) $this->option('to');
        if ($sections === null || $sections->count() !== 1 || $to === '') {
            $this->components->error((string) __('publishing.cartridge.usage'));

            return self::FAILURE;
        }
        if (@file_put_contents($to, ZipText::of($cartridge($sections->firstOrFail()))) === false) {
            $this->components->error((string) __('publishing.cartridge.no_file', ['to' => $to]));

            return self::FAILURE;
        }
        $this->output->writeln($to);

        return self::SUCCESS;
    }
}
