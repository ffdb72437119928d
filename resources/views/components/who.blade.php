{{-- Who is signed in, and leaving. person: Person --}}
@props(['person'])
<details class="who">
    <summary>{{ $person->shortName() }} ▾</summary>
    <div class="drop">
        <p><b>{{ $person->name() }}</b><br><span class="quiet">{{ __("frame.roles.{$person->role->value}") }} · {{ $person->email }}</span>
        </p>
        <p class="mb-2"><a href="{{ route('account') }}">{{ __('frame.account') }}</a>
            @if ($person->isCoordinator())
                <br><a href="{{ route('set-up') }}">{{ __('setup.title') }}</a>
                <br><a href="{{ route('people') }}">{{ __('people.title') }}</a>
                <br><a href="{{ route('accounts') }}">{{ __('account.people.open') }}</a>
            @endif
        </p>
        <button class="btn btn-side" type="button" x-data="theme" x-on:click="turn">{{ __('frame.scheme') }}</button>
        <x-act :to="route('sign-out')" :do="__('frame.sign_out')" />
    </div>
</details>
