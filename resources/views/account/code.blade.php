<x-outside :title="__('account.code.title')">
    <form method="post" action="{{ route('sign-in.enter') }}" novalidate>@csrf
        <h1>{{ __('account.code.title') }}</h1>
        <x-code-field name="code" :label="__('account.code.label')" :hint="__('account.code.hint')" />
        <button class="btn btn-main">{{ __('account.code.go') }}</button>
        <p class="mt-3 mb-0"><a href="{{ route('sign-in') }}">{{ __('account.code.back') }}</a></p>
    </form>
</x-outside>
