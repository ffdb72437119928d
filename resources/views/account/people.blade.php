<x-app :title="__('account.people.title')">
    <div class="bar">
        <h1>{{ __('account.people.title') }}</h1>
        <div class="sum">
            {{ __('account.people.sum', [
                'ready' => array_sum(array_column($page->roles, 'ready')),
                'all' => array_sum(array_column($page->roles, 'all')),
            ]) }}
        </div>
    </div>
    <x-account.hand-over />
    <x-account.roles :page="$page" />
    <h2 class="mt-4">{{ __("account.people.roles.{$page->role->value}") }}</h2>
    <x-account.people :page="$page" />
</x-app>
