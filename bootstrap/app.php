<?php

use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as LaravelSession;
use Nomada\App\Http\BusyDatabase;
use Nomada\App\Http\Middleware\ContentSecurity;
use Nomada\App\Http\Middleware\IdempotentForms;
use Nomada\App\Http\Middleware\KeepsSignIn;
use Nomada\App\Http\Middleware\ReadsDates;
use Nomada\App\Http\Middleware\RejectStaleForms;
use Nomada\App\Http\Middleware\ServerTiming;
use Nomada\App\Http\Middleware\SpeaksTheirLanguage;
use Nomada\App\Http\Middleware\StartSession;
use Nomada\App\Http\Middleware\TermInAddress;
use Nomada\App\Http\Middleware\TrustedHost;
use Nomada\App\Http\Middleware\ValidateInputEncoding;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\SaysFaultsOnConsole;
use Nomada\Core\Fault;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up')
    ->withCommands([__DIR__.'/../app/Console'])
    // There are no listeners to look for, and every request would look.
    ->withEvents(discover: false)
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend(ValidateInputEncoding::class);
        $middleware->prepend(TrustedHost::class);
        $middleware->prepend(SpeaksTheirLanguage::class);
        $middleware->prepend(ServerTiming::class);
        $middleware->prepend(TermInAddress::class);
        $middleware->append(ContentSecurity::class);
        // No other site's page may read anything here, so no address is looked up among those that it may.
        $middleware->remove(Illuminate\Http\Middleware\HandleCors::class);
        $middleware->web(replace: [LaravelSession::class => StartSession::class]);
        // A mail program presses it for the reader (RFC 8058), or a mail server hands an answer on, without a page of
        // ours; the addresses are signed.
        $middleware->validateCsrfTokens(except: ['letters/*/stop', 'replies']);
        // Who may is asked first; then dates are read, whether it was done already, and whether somebody else has saved
        // since.
        $middleware->appendToGroup('web', [
            SpeaksTheirLanguage::class,
            KeepsSignIn::class,
            ReadsDates::class,
            IdempotentForms::class,
            RejectStaleForms::class,
        ]);
        $middleware->appendToPriorityList(AuthenticatesRequests::class, KeepsSignIn::class);
        $middleware->appendToPriorityList(Illuminate\Auth\Middleware\Authorize::class, ReadsDates::class);
        $middleware->appendToPriorityList(ReadsDates::class, IdempotentForms::class);
        $middleware->appendToPriorityList(IdempotentForms::class, RejectStaleForms::class);
        $middleware->alias(['looks' => Nomada\App\Http\Middleware\ReadOnlySession::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // What a person typed wrongly is told beside its field, on the page they came from.
        $exceptions->dontReport(Fault::class);
        $exceptions->render(function (Fault $e, Request $request) {
            $field = $e->field ?: 'form';
            $words = FaultWords::of($e);

            return $request->expectsJson()
                ? response()->json(['message' => $words, 'errors' => [$field => [$words]]], 422)
                : back()
                    ->withInput()
                    ->withErrors([$field => $words]);
        });
        $exceptions->render(BusyDatabase::answer(...));
    })
    ->create();
$app->singleton(ExceptionHandler::class, SaysFaultsOnConsole::class);
// The framework asks for it by a list that PHP's own server leaves empty.
$storage = getenv('LARAVEL_STORAGE_PATH');
if ($storage !== false && $storage !== '') {
    $app->useStoragePath($storage);
}

return $app;
