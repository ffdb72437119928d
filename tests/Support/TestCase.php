<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Interchange\SchoolReader;
use PDO;

abstract class TestCase extends Base
{
    /** The connection to the database of those who go back to where they began: one for all of them. */
    private static ?PDO $connection = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        if ($this->goesBack()) {
            self::$connection ??= DB::connection()->getPdo();
        }
    }

    /** With the connection that was there: a new one learns tables and how names are sorted again, for each test. */
    protected function setUpTraits()
    {
        if ($this->goesBack() && self::$connection !== null) {
            DB::connection()->setPdo(self::$connection);
        }

        return parent::setUpTraits();
    }

    private function goesBack(): bool
    {
        return in_array(RefreshDatabase::class, class_uses_recursive($this), true);
    }

    /** The small school as imported: it is what most tests begin with. */
    private static ?Snapshot $school = null;

    /**
     * A small school, imported the ordinary way, or as that had left it.
     *
     * @param  array<string, string|null>  $change files instead of its own
     */
    public function school(array $change = []): void
    {
        // Anything that is there already, or a clock that was set, may change what an import does.
        $isUsual = $change === [] && DB::table('schools')->doesntExist() && DB::table('settings')->doesntExist();
        if ($isUsual && self::$school !== null) {
            self::$school->putBack();

            return;
        }
        app(ImportSchool::class)(SchoolReader::read(SmallSchool::files($change)));
        if ($isUsual) {
            self::$school = Snapshot::take();
        }
    }

    /**
     * Pages are laid out in lines by a formatter; a reader sees one blank where there are many, but in text boxes.
     */
    protected function createTestResponse($response, $request)
    {
        $isPage = str_starts_with((string) $response->headers->get('Content-Type'), 'text/html');
        if ($isPage && is_string($response->getContent())) {
            $asIs = '/<(pre|textarea)\b.*?<\/\1>(*SKIP)(*FAIL)|\s+/su';
            $response->setContent((string) preg_replace($asIs, ' ', $response->getContent()));
        }

        return parent::createTestResponse($response, $request);
    }

    public function as(string $sourcedId): static
    {
        return $this->actingAs(Person::query()->where('sourced_id', $sourcedId)->firstOrFail());
    }

    public function section(string $sourcedId): Section
    {
        return Section::query()->where('sourced_id', $sourcedId)->firstOrFail();
    }

    /** Runs what is queued, as a worker would, until nothing is left; waits through the pauses of a run. */
    public function work(): void
    {
        for ($i = 0; $i < 200; $i++) {
            // Now, and not when the call's object goes: within a destructor nothing can be done side by side.
            $this->artisan('queue:work', ['--stop-when-empty' => true, '--tries' => 0, '--sleep' => 0])->run();
            if (DB::table('jobs')->doesntExist()) {
                return;
            }
            usleep(50_000);
        }
        throw new \RuntimeException('The queue does not empty');
    }

    /** The stand-ins, running, empty and well-behaved. */
    public function standins(): StandinServer
    {
        $server = StandinServer::shared();
        config(['nomada.standins.url' => $server->url, 'nomada.standins.token' => $server->token]);
        $server->reset();

        return $server;
    }
}
