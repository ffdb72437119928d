<x-outside :title="__('account.forgotten.title')">
    <form method="post" action="{{ route('forgotten.ask') }}" novalidate>@csrf
        <h1>{{ __('account.forgotten.title') }}</h1>
        <x-address-field :hint="__('account.forgotten.hint')" />
        <button class="btn btn-main">{{ __('account.forgotten.go') }}</button>
        <p class="quiet mt-3 mb-1">{{ __('account.forgotten.no_address') }}</p>
        <p class="mb-0"><a href="{{ route('sign-in') }}">{{ __('account.forgotten.back') }}</a></p>
    </form>
</x-outside>
