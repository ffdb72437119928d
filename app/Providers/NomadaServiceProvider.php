<?php

declare(strict_types=1);

namespace Nomada\App\Providers;

use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Console\Events\CommandStarting;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\AliasLoader;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Illuminate\Translation\Translator;
use LogicException;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\HttpConferenceBridge;
use Nomada\App\Destinations\KnownRoomsBridge;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Policies\ChangeRequestPolicy;
use Nomada\App\Policies\RunPolicy;
use Nomada\App\Policies\SectionPolicy;
use Nomada\App\Policies\SeriesChangePolicy;
use Nomada\App\Policies\SessionPolicy;
use Nomada\App\Post\PlaceTransport;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\KeyFingerprint;
use Nomada\App\Support\Lines;
use Nomada\App\Support\LostDatabase;
use Nomada\App\Support\Postgres;
use Nomada\App\Support\Say;
use Nomada\App\Support\Words;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use PDO;
use Psr\Clock\ClockInterface;

final class NomadaServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // sabre/vobject still does what PHP 8.2 deprecates; nothing of it is for a person to read.
        error_reporting(E_ALL & ~E_DEPRECATED);
        if (in_array(PHP_SAPI, ['cli-server', 'fpm-fcgi'], true)) {
            // A web process keeps its connection: making one takes longer (30 ms here) than most pages. What a request
            // leaves open in it is rolled back when its handle goes. Not in config/, which is cached on the console.
            config([
                'database.connections.pgsql.options' => (array) config('database.connections.pgsql.options') + [
                    PDO::ATTR_PERSISTENT => true,
                ],
            ]);
        }
        $this->app->extend('translator', function (Translator $made, Application $app): Lines {
            $lines = new Lines($made->getLoader(), $made->getLocale());
            $lines->setFallback($made->getFallback());

            return $lines;
        });
        // By their short names in templates.
        AliasLoader::getInstance(['Say' => Say::class, 'Words' => Words::class]);
        $this->app->bind('db.connector.pgsql', Postgres::class);
        $this->app->bind(LostConnectionDetector::class, LostDatabase::class);
        $this->app->scoped(Clock::class);
        $this->app->alias(Clock::class, ClockInterface::class);
        $this->app->scoped(CurrentTerm::class);
        $this->app->scoped(Places::class);
        $this->app->bind(
            ConferenceBridge::class,
            fn (Application $app): ConferenceBridge => $app->make(Places::class)->of(ExternalService::Bridge)
                ->kind === PlaceKind::KnownRooms
                ? new KnownRoomsBridge()
                : new HttpConferenceBridge(),
        );
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        // Disabled people cannot sign in, and outside the demo nobody can with its public password: not by password,
        // not by a session that goes on, not by a remembered one.
        Auth::provider(
            'people',
            fn (Application $app, array $config): EloquentUserProvider => (new EloquentUserProvider(
                $app->make('hash'),
                $config['model'],
            ))->withQuery(
                fn (Builder $q) => $q
                    ->whereNull('disabled_on')
                    ->when(! config('nomada.demo'), fn (Builder $w) => $w->where('has_demo_password', false)),
            ),
        );
        // A key without words is a mistake of ours that somebody would read on the screen.
        Lang::handleMissingKeysUsing(function (string $key): string {
            // The validator asks for words that a field may have, and does without.
            $isOurs = preg_match('/^(?!validation\.)([a-z_]+)(\.[\w-]+)+$/D', $key, $m) === 1;
            if ($isOurs && is_file(lang_path("en/$m[1].php"))) {
                $missing = new LogicException("There are no words for $key");
                $this->app->environment('testing') ? throw $missing : report($missing);
            }

            return $key;
        });
        // Links, letters and what is published have one address, whatever host a request names.
        URL::forceRootUrl((string) config('app.url'));
        if ($this->app->runningInConsole()) {
            $this->app->make('events')->listen(CommandStarting::class, function (CommandStarting $event): void {
                if (str_starts_with((string) $event->command, 'nomada:') && ! KeyFingerprint::fits()) {
                    $event->output->writeln('<error> '.__('errors.key.console').' </error>');
                    exit(1);
                }
            });
        }
        Gate::policy(Section::class, SectionPolicy::class);
        Gate::policy(Session::class, SessionPolicy::class);
        Gate::policy(Run::class, RunPolicy::class);
        Gate::policy(SeriesChange::class, SeriesChangePolicy::class);
        Gate::policy(ChangeRequest::class, ChangeRequestPolicy::class);
        Gate::define('staff', fn (Person $p): bool => $p->isStaff());
        Gate::define('coordinate', fn (Person $p): bool => $p->isCoordinator());
        Gate::define('study', fn (Person $p): bool => $p->role === Role::Student);
        Gate::define('move-clock', fn (Person $p): bool => app(Clock::class)->isMovable());
        // Every form has a key of its own beside its token.
        Blade::directive(
            'csrf',
            fn (): string => '<?php echo csrf_field(), \Nomada\App\Queries\IdempotencyKey::field(); ?>',
        );
        Mail::extend('post-office', fn (): PlaceTransport => new PlaceTransport());
        $this->limits();
        TrustProxies::at((string) config('nomada.trusted_proxies'));
    }

    /**
     * What is asked for in a minute is bounded by account and by link. By network address there are wide bounds only,
     * against a machine that asks all the time: a school of 9,000 arrives within minutes from one address.
     */
    private function limits(): void
    {
        $wide = fn (Request $r): Limit => Limit::perMinute(6000)->by('all from '.$r->ip());
        $link = fn (Request $r): string => hash('sha256', $r->path());
        $half = fn (Request $r): string => (string) json_encode(
            $r->hasSession() ? $r->session()->get('half signed in')[0] ?? $r->session()->getId() : $r->ip(),
        );
        // What fails is counted by CheckPassword.
        RateLimiter::for(
            'sign-in',
            fn (Request $r): array => [
                Limit::perMinute(30)->by(
                    'sign-in '.hash('sha256', $r->ip().mb_strtolower((string) $r->input('email'))),
                ),
                $wide($r),
            ],
        );
        RateLimiter::for(
            'forgotten',
            fn (Request $r): array => [
                Limit::perMinute(5)->by('forgotten '.hash('sha256', mb_strtolower((string) $r->input('email')))),
                Limit::perMinute(300)->by('forgotten from '.$r->ip()),
            ],
        );
        // Whole classes look at one page at the beginning of a lesson.
        RateLimiter::for('page', $wide);
        RateLimiter::for('feed', fn (Request $r): Limit => Limit::perMinute(20)->by('feed '.$link($r)));
        RateLimiter::for(
            'door',
            fn (Request $r): array => [
                Limit::perMinute($r->user() === null ? 600 : 60)->by('door '.($r->user()->id ?? $link($r))),
                $wide($r),
            ],
        );
        // Each look costs next to nothing.
        RateLimiter::for('look', $wide);
        RateLimiter::for(
            'code',
            fn (Request $r): array => [Limit::perMinute(12)->by('code '.($r->user()->id ?? $half($r))), $wide($r)],
        );
    }
}
