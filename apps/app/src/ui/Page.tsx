import { uiWords } from '@nucleon/core/words/screens/ui';
import type { Route } from '../routes';
import { View } from '@tamagui/core';
import { useRouter } from 'expo-router';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { useEffect, useRef, type ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { Icon } from './Icon';
import { Column, Row } from './layout';
import { PageScroll } from './pageScroll';
import { Press } from './Press';
import { renewWhereOutdated } from './keepForOffline';
import { SkipLink } from './SkipLink';
import { Small, Title } from './text';
import { useLetterPx } from './TextScale';
import { isFirstPage, keepScroll } from './visited';

interface PageProps {
  readonly title: string;
  readonly subtitle?: string;
  /** Where “back” leads; absent at the top. */
  readonly back?: { readonly href: Route; readonly label: string };
  readonly actions?: ReactNode;
  /** Held at thumb height while the rest scrolls. */
  readonly footer?: ReactNode;
  readonly maxWidth?: number;
  /** Fills the height itself: the wide view of a hole scrolls by column. */
  readonly fixed?: boolean;
  /** Where the screen is low: the title alone, and no more height than a finger needs. */
  readonly slim?: boolean;
  readonly children: ReactNode;
}

/** A title with less room beside what can be done stands above it. */
const TITLE_PX = 110;

/** One screen: a head with the way back, what it is about, and the next action at the foot. */
export function Page({
  footer,
  maxWidth = 760,
  fixed = false,
  slim,
  children,
  ...head
}: PageProps) {
  const scroll = useRef<HTMLElement | null>(null);
  useEffect(() => {
    renewWhereOutdated();
    return scroll.current ? keepScroll(scroll.current) : undefined;
  }, []);
  const body = (
    <Column
      width="100%"
      maxWidth={maxWidth}
      alignSelf="center"
      flex={fixed ? 1 : undefined}
      minHeight={0}
    >
      {children}
    </Column>
  );
  return (
    <View height="100%" backgroundColor="$ground" render="main">
      <SkipLink
        onPress={() => {
          scroll.current?.focus();
        }}
      />
      <PageHead {...head} slim={slim} maxWidth={maxWidth} />
      {fixed ? (
        body
      ) : (
        // Reached by keyboard, so that a page of nothing but words can be scrolled.
        <ScrollView
          ref={(view) => {
            scroll.current = (view?.getScrollableNode() ?? null) as HTMLElement | null;
          }}
          tabIndex={0}
          contentContainerStyle={{ flexGrow: 1 }}
        >
          <PageScroll value={scroll}>{body}</PageScroll>
        </ScrollView>
      )}
      {footer ? (
        <Row
          id="print-hide-footer"
          borderTopWidth={1}
          borderColor="$line"
          backgroundColor="$surface"
          padding={slim ? 0 : '$2'}
          justifyContent="center"
        >
          <Row width="100%" maxWidth={maxWidth} gap="$2" alignItems="stretch" flexWrap="wrap">
            {footer}
          </Row>
        </Row>
      ) : null}
    </View>
  );
}

type PageHeadProps = Pick<
  PageProps,
  'title' | 'subtitle' | 'back' | 'actions' | 'slim' | 'maxWidth'
>;

function PageHead({ title, subtitle, back, actions, slim, maxWidth }: PageHeadProps) {
  const titleBasis = useLetterPx(TITLE_PX);
  const heading = useRef<HTMLElement | null>(null);
  useEffect(() => {
    document.title = `${title} · Nucleon`;
  }, [title]);
  useEffect(() => {
    // Whoever came here by keyboard or ear starts at what it is called.
    if (!isFirstPage()) heading.current?.focus({ preventScroll: true });
  }, []);
  return (
    <Row
      borderBottomWidth={1}
      borderColor="$line"
      backgroundColor="$surface"
      paddingHorizontal="$2"
      minHeight={slim ? 44 : 60}
      justifyContent="center"
    >
      <Row
        width="100%"
        maxWidth={maxWidth}
        columnGap="$2"
        justifyContent="space-between"
        flexWrap="wrap"
      >
        <Row flexShrink={1} gap="$1" minWidth={0} flexGrow={1} flexBasis={titleBasis}>
          {back ? <Back {...back} /> : <View width={8} />}
          <Column flexShrink={1} minWidth={0}>
            {subtitle && !slim ? (
              <Small numberOfLines={1} fontSize="$1" lineHeight="$1">
                {subtitle}
              </Small>
            ) : null}
            <Title
              ref={(element) => {
                heading.current = element as unknown as HTMLElement | null;
              }}
              tabIndex={-1}
              fontSize="$4"
              lineHeight="$4"
              numberOfLines={1}
              aria-level={1}
              focusStyle={{ outlineStyle: 'none' }}
            >
              {title}
            </Title>
          </Column>
        </Row>
        <Row id="print-hide-actions" flexGrow={0} flexWrap="wrap">
          {actions}
        </Row>
      </Row>
    </Row>
  );
}

/** To where one came from; where one came in by an address, to what it is part of. */
function Back({ href, label }: NonNullable<PageProps['back']>) {
  const router = useRouter();
  return (
    <Press
      aria-label={uiWords.backTo(label)}
      paddingHorizontal="$3"
      onPress={() => {
        if (router.canGoBack()) router.back();
        else router.replace(href);
      }}
    >
      <Icon of={ArrowLeft} />
    </Press>
  );
}
