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
        </div>
    </div>
</x-app>
