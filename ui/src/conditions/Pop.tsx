import { Drawer, Popover } from 'antd';
import { cloneElement, type ReactElement, type ReactNode } from 'react';
import { useMedia } from '../frame/fold';

/** A small form where it was touched; on a phone a sheet from the bottom, under the thumb. */
export function Pop(props: {
  title: string;
  open: boolean;
  onOpen: (open: boolean) => void;
  content: ReactNode;
  children: ReactElement<{ onClick?: () => void }>;
}) {
  const { title, open, onOpen, content, children } = props;
  const phone = useMedia('(max-width: 700px)');
  if (phone)
    return (
      <>
        {cloneElement(children, { onClick: () => onOpen(true) })}
        <Drawer
          open={open}
          onClose={() => onOpen(false)}
          placement="bottom"
          size="auto"
          title={title}
          destroyOnHidden
          rootClassName="pop-sheet"
        >
          {content}
        </Drawer>
      </>
    );
  return (
    <Popover
      open={open}
      onOpenChange={onOpen}
      trigger="click"
      placement="bottomRight"
      destroyOnHidden
      content={content}
    >
      {children}
    </Popover>
  );
}
