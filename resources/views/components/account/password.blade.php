{{-- The password, and how to change it. page: AccountPage --}}
@props(['page'])
<section class="card-s">
    <h2>{{ __('account.password.title') }}</h2>
    <p>
        @if ($page->isDemo)
            {{ __('account.password.demo') }}
        @elseif ($page->passwordSince)
            {{ __('account.password.since', ['day' => $page->passwordSince]) }}
        @else
            {{ __('account.password.none') }}
        @endif
    </p>
    <details @if ($errors->hasAny(['old_password', 'password', 'again'])) open @endif>
        <summary>{{ __('account.password.change') }}</summary>
        <form class="mt-2" method="post" action="{{ route('account.password') }}" novalidate>@csrf @method('put')
            <x-field name="old_password" type="password" :label="__('account.password.now')" autocomplete="current-password" />
            <x-new-password />
            <button class="btn btn-main">{{ __('account.password.save') }}</button>
            <span class="quiet">{{ __('account.password.others') }}</span>
        </form>
    </details>
</section>
