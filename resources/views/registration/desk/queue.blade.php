{{-- Those who wait for a decision. queue: DeskQueue --}}
@if ($queue->isComparing)
    <div class="empty" x-data="comeback" role="status">
        <h2>{{ trans_choice('registration.desk.comparing', $page->waiting) }}</h2>
        {{ __('registration.desk.comparing_hint') }}
        <a href="{{ route('desk', array_filter(['verdict' => $queue->verdict])) }}">{{ __('registration.desk.again') }}</a>
        {{ __('registration.desk.or') }}
        <a href="{{ route('desk', array_filter(['verdict' => $queue->verdict, 'now' => 1])) }}">{{ __('registration.desk.wait') }}</a>
    </div>
@elseif ($queue->all() === 0)
    <x-empty :title="__('registration.desk.empty')">{{ __('registration.desk.empty_hint') }}</x-empty>
@else
    <div class="bar thin">
        <nav aria-label="{{ __('registration.desk.verdict') }}">
            <x-pill :to="route('desk')" :on="$queue->verdict === ''" :n="$queue->all()">{{ __('registration.all') }}</x-pill>
            @foreach (\Nomada\Core\Registration\Verdict::cases() as $one)
                @continue(($queue->counts[$one->value] ?? 0) === 0)
                <x-pill :to="route('desk', ['verdict' => $one->value])" :on="$queue->verdict === $one->value"
                    :n="$queue->counts[$one->value]">{{ ucfirst(Say::this($one->said())) }}</x-pill>
            @endforeach
        </nav>
        @if ($queue->safe > 0)
            <div class="end">
                <x-act :to="route('desk.certain')" class="btn-main" :do="trans_choice('registration.desk.accept_all', $queue->safe, [
                    'n' => $queue->safe,
                ])" />
            </div>
        @endif
    </div>
    <div x-data="desk">
        <table class="table-plain desk">
            <thead>
                <tr>
                    @foreach (['found', 'typed', 'roster', 'for'] as $column)
                        <th scope="col">{{ __("registration.desk.columns.$column") }}</th>
                    @endforeach
                    <th scope="col"><span class="visually-hidden">{{ __('registration.decide') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($queue->lines as $line)
                    @include('registration.desk.line')
                @endforeach
            </tbody>
        </table>
    </div>
    <datalist id="sections">
        @foreach ($queue->sections as $id => $name)
            <option value="{{ $id }}">{{ $name }}</option>
        @endforeach
    </datalist>
    <datalist id="reasons">
        @foreach (__('registration.desk.reasons') as $reason)
            <option value="{{ $reason }}">
        @endforeach
    </datalist>
    @if ($queue->total() > count($queue->lines))
        <p class="quiet">{{ __('registration.desk.more', ['n' => count($queue->lines), 'all' => $queue->total()]) }}</p>
    @endif
@endif
