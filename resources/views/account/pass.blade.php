<x-outside :title="__('account.pass.title')">
    @if ($pass->isOpen())
        <form method="post" action="{{ url()->full() }}" novalidate>@csrf
            <h1>{{ __('account.pass.title') }}</h1>
            <p>{{ __('account.pass.who', ['name' => $pass->person->name(), 'sign_in' => $pass->person->signsInBy()]) }}</p>
            <input type="hidden" name="username" autocomplete="username" value="{{ $pass->person->signsInBy() }}">
            <x-new-password />
            <button class="btn btn-main">{{ __('account.pass.go') }}</button>
        </form>
    @else
        <div>
            <h1>{{ __('account.pass.ended') }}</h1>
            <p>{{ __('account.pass.ended_hint') }}</p>
            <p><a class="btn btn-main" href="{{ route('forgotten') }}">{{ __('account.pass.ask') }}</a></p>
            <p class="mb-0"><a href="{{ route('sign-in') }}">{{ __('account.forgotten.back') }}</a></p>
        </div>
    @endif
</x-outside>
