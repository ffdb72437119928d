<x-app :title="__('account.title')">
    <div class="bar">
        <h1>{{ __('account.title') }}</h1>
        <div class="sum">{{ __('account.pass.who', ['name' => $page->name, 'sign_in' => $page->signsInBy]) }}</div>
    </div>
    <div class="columns mt-2">
        <div>
            <x-account.sign-ins :rows="$page->signIns" />
        </div>
        <div>
            <x-account.factor :page="$page" />
            <x-account.password :page="$page" />
            <h2 class="mt-4">{{ __('me.language') }}</h2>
            <x-language :of="auth()->user()" />
        </div>
    </div>
</x-app>
