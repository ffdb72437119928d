{{-- The second factor: not set up, being set up, or on. page: AccountPage --}}
@props(['page'])
<section class="card-s">
    <h2>{{ __('account.factor.title') }}</h2>
    @if ($page->factorSince)
        <p>{{ __('account.factor.since', ['day' => $page->factorSince]) }}
            {{ trans_choice('account.factor.left', $page->codesLeft) }}</p>
        <details @if ($errors->hasAny(['own_code', 'own_password'])) open @endif>
            <summary>{{ __('account.factor.again') }}</summary>
            <form class="mt-2" method="post" action="{{ route('account.codes.fresh') }}" novalidate>@csrf
                <x-field name="own_password" type="password" :label="__('account.password.now')" autocomplete="current-password" />
                <x-code-field name="own_code" :label="__('account.factor.own')" />
                <button class="btn btn-side">{{ __('account.factor.fresh') }}</button>
                @unless ($page->needsFactor)
                    <button class="btn btn-wrong" name="_method" value="delete"
                        formaction="{{ route('account.second-factor.drop') }}">{{ __('account.factor.drop') }}</button>
                @endunless
            </form>
        </details>
    @elseif ($page->secret)
        <p class="mb-2">{{ __('account.factor.scan') }}</p>
        <div class="d-flex gap-3 align-items-center mb-3 flex-wrap">
            <div class="qr" x-data="qr" data-text="{{ $page->address }}" role="img"
                aria-label="{{ __('account.factor.picture') }}"></div>
            <div><span class="quiet">{{ __('account.factor.key') }}</span><br><span class="mono">{{ $page->secret }}</span></div>
        </div>
        <p class="mb-2">{{ __('account.factor.type') }}</p>
        <form method="post" action="{{ route('account.second-factor.confirm') }}" novalidate>@csrf @method('put')
            <x-code-field name="code" :label="__('account.factor.code')" />
            <button class="btn btn-main">{{ __('account.factor.confirm') }}</button>
        </form>
    @else
        <p>{{ __($page->needsFactor ? 'account.factor.needed' : 'account.factor.why') }}</p>
        <form method="post" action="{{ route('account.second-factor') }}" novalidate>@csrf
            <x-field name="own_password" type="password" :label="__('account.password.now')" autocomplete="current-password" />
            <button class="btn btn-main">{{ __('account.factor.begin') }}</button>
        </form>
    @endif
</section>
