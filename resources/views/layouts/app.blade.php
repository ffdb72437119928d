@php
    $person = auth()->user();
    // A student's pages say what term it is where it matters; the door is asked by hundreds at once.
    $term = $person->isStaff() ? app(\Nomada\App\Queries\CurrentTerm::class)->find() : null;
    $clock = app(\Nomada\App\Support\Clock::class);
    $zone = $person->isStaff() ? $term?->calendar()->zone ?? $person->zone() : $person->zone();
@endphp
<x-base :title="$title ?? null">
    <header @class(['mast', 'narrow' => !$person->isStaff()])>
        <a class="name" href="/"><x-mark />Nomada</a>
        @if ($term)
            <div class="term">{{ $term->title }}<small>{{ \Nomada\Core\Term\LocalDate::parse($term->starts_on)->dayMonth() }} –
                    {{ \Nomada\Core\Term\LocalDate::parse($term->ends_on)->dayMonth() }} · {{ $term->school->name }}</small></div>
        @endif
        @if ($person->isStaff())
            <button class="find" type="button" x-data x-on:click="$dispatch('find')"><span>Find a section, person or
                    date</span><kbd>/</kbd></button>
        @endif
        <x-clock :clock="$clock" :zone="$zone" />
        <details class="who">
            <summary>{{ $person->shortName() }} ▾</summary>
            <div class="drop">
                <p><b>{{ $person->name() }}</b><br><span class="quiet">{{ __("frame.roles.{$person->role->value}") }} ·
                        {{ $person->email }}</span></p>
                <p class="mb-2"><a href="{{ route('account') }}">{{ __('frame.account') }}</a>
                    @if ($person->isCoordinator())
                        <br><a href="{{ route('accounts') }}">{{ __('account.people.open') }}</a>
                    @endif
                </p>
                <button class="btn btn-side" type="button" x-data="theme" x-on:click="turn">{{ __('frame.scheme') }}</button>
                <form method="post" action="{{ route('sign-out') }}" class="d-inline">@csrf<button
                        class="btn btn-side">{{ __('frame.sign_out') }}</button>
                </form>
            </div>
        </details>
    </header>
    @if ($person->isStaff())
        <x-route :person="$person" />
    @endif
    <main id="main" tabindex="-1">
        @if (session('said'))
            <p class="said" role="status">{{ session('said') }}</p>
        @endif
        @if ($errors->has('form') || $errors->has('sections') || $errors->has('step') || $errors->has('date') || $errors->has('time'))
            <p class="fault" role="alert">
                {{ $errors->first('form') ?:
                    $errors->first('sections') ?:
                    $errors->first('step') ?:
                    $errors->first('date') ?:
                    $errors->first('time') }}
            </p>
        @endif
        {{ $slot }}
    </main>
    @if ($person->isStaff())
        <x-find />
    @endif
    <x-keys :staff="$person->isStaff()">{{ $keys ?? '' }}</x-keys>
    <svg width="0" height="0" aria-hidden="true" focusable="false">
        <defs>{{ \Nomada\App\View\Shape::symbols() }}<pattern id="hatch" width="5" height="5" patternTransform="rotate(45)"
                patternUnits="userSpaceOnUse">
                <rect width="5" height="5" class="hatch-ground" />
                <line y2="5" class="hatch-line" />
            </pattern>
        </defs>
    </svg>
</x-base>
