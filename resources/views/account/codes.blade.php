<x-app :title="__('account.codes.title')">
    <div class="bar">
        <h1>{{ __('account.codes.title') }}</h1>
    </div>
    <p class="mt-3">{{ __('account.codes.why') }}</p>
    <ol class="codes mono">
        @foreach ($codes as $code)
            <li>{{ $code }}</li>
        @endforeach
    </ol>
    <div class="d-flex gap-2 no-print">
        <a class="btn btn-main" href="{{ route('account') }}">{{ __('account.codes.done') }}</a>
        <span x-data="printer"><button type="button" class="btn btn-side"
                x-on:click="print">{{ __('account.codes.print') }}</button></span>
    </div>
</x-app>
